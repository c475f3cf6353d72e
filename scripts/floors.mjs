/** `npm run floors`: draws the rooms of the code and what each stands on, from their imports, into docs/floors.svg. */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT, say } from './lib.mjs';

/** Folders that are drawn room by room; a file beside the rooms belongs to the house itself. */
const HOUSES = [
  { name: 'core', root: 'core/src', split: ['program'] },
  { name: 'server', root: 'server/src', split: [] },
  { name: 'web', root: 'web/src', split: ['features'] },
];
const LEFT_OUT = new Set(['testing', 'fixtures', 'doors', 'ownDrinks']);

const filesIn = (folder) =>
  readdirSync(folder).flatMap((name) => {
    const full = path.join(folder, name);
    return statSync(full).isDirectory() ? filesIn(full) : /\.tsx?$/.test(name) ? [full] : [];
  });
const isSource = (file) => !/\.(?:test|fixtures)\.tsx?$/.test(file) && !/\/(?:testing|fixtures)\//.test(file);

/** "web/features/stove" of a file, or null where it is not drawn. */
function roomOf(file) {
  const house = HOUSES.find((h) => file.startsWith(path.join(ROOT, h.root) + path.sep));
  if (!house) return null;
  const parts = path.relative(path.join(ROOT, house.root), file).split(path.sep);
  if (parts.length === 1) return house.name === 'server' ? 'server/main' : null;
  if (LEFT_OUT.has(parts[0])) return null;
  return [
    house.name,
    parts[0],
    ...(house.split.includes(parts[0]) && parts.length > 2 ? [parts[1]] : []),
  ].join('/');
}

/** What stands behind each door of the core: a name asked for at a door comes from a room. */
function doorsOfCore() {
  const doors = new Map();
  for (const file of filesIn(path.join(ROOT, 'core/src/doors'))) {
    const behind = new Map();
    for (const [, names, from] of readFileSync(file, 'utf8').matchAll(
      /export (?:type )?\{([^}]*)\} from '([^']+)'/g,
    ))
      for (const name of names.split(',').map((n) => n.trim().replace(/^type /, '')))
        if (name) behind.set(name.split(' as ').at(-1), roomOf(path.resolve(path.dirname(file), from)));
    doors.set(path.basename(file, '.ts'), behind);
  }
  return doors;
}

function readHouses() {
  const doors = doorsOfCore();
  const rooms = new Map();
  const room = (name) => {
    if (!rooms.has(name)) rooms.set(name, { name, files: 0, lines: 0, on: new Set() });
    return rooms.get(name);
  };
  for (const { root } of HOUSES)
    for (const file of filesIn(path.join(ROOT, root)).filter(isSource)) {
      const own = roomOf(file);
      if (!own) continue;
      const text = readFileSync(file, 'utf8');
      const here = room(own);
      here.files++;
      here.lines += text.split('\n').length - 1;
      for (const [, from] of text.matchAll(/import\('(\.[^']+)'\)/g)) {
        const other = roomOf(path.resolve(path.dirname(file), from));
        if (other && other !== own) here.on.add(other);
      }
      for (const [, names, from] of text.matchAll(/import ([^;]*?)from '([^']+)'/g)) {
        if (from.startsWith('.')) {
          const other = roomOf(path.resolve(path.dirname(file), from));
          if (other && other !== own) here.on.add(other);
          continue;
        }
        const door = /^@big-ladle\/core\/(\w+)$/.exec(from)?.[1];
        if (!door) continue;
        for (const name of names.match(/\w+/g) ?? []) {
          const other = doors.get(door)?.get(name);
          if (other) here.on.add(other);
        }
      }
    }
  return [...rooms.values()];
}

/** On which floor a room stands: one above the highest that it stands on. */
function withFloors(rooms) {
  const byName = new Map(rooms.map((r) => [r.name, r]));
  const floorOf = (room, way = []) => {
    if (room.floor !== undefined || way.includes(room.name)) return room.floor ?? 0;
    const below = [...room.on].map((name) => floorOf(byName.get(name), [...way, room.name]));
    room.floor = below.length === 0 ? 0 : Math.max(...below) + 1;
    return room.floor;
  };
  for (const room of rooms) floorOf(room);
  return byName;
}

/** What a room stands on directly: not by way of another that it stands on. */
function directOf(room, byName) {
  const reach = (name, seen = new Set()) => {
    for (const next of byName.get(name).on)
      if (!seen.has(next)) {
        seen.add(next);
        reach(next, seen);
      }
    return seen;
  };
  const others = [...room.on];
  return others.filter((name) => !others.some((other) => other !== name && reach(other).has(name)));
}

const BOX = { w: 132, h: 44, gapX: 14, gapY: 34 };
const COLOUR = { core: '#20409a', server: '#8a4b08', web: '#3f6b2f' };

function draw(rooms, byName) {
  const floors = [];
  for (const room of rooms) floors[room.floor] = [...(floors[room.floor] ?? []), room];
  const rows = floors.map((list) => (list ?? []).sort((a, b) => (a.name < b.name ? -1 : 1)));
  const width = Math.max(...rows.map((r) => r.length)) * (BOX.w + BOX.gapX) + BOX.gapX;
  const height = rows.length * (BOX.h + BOX.gapY) + BOX.gapY;
  for (const [floor, list] of rows.entries()) {
    const rowWidth = list.length * (BOX.w + BOX.gapX) - BOX.gapX;
    for (const [i, room] of list.entries()) {
      room.x = (width - rowWidth) / 2 + i * (BOX.w + BOX.gapX);
      room.y = height - (floor + 1) * (BOX.h + BOX.gapY);
    }
  }
  const lines = rooms.flatMap((room) =>
    directOf(room, byName).map((name) => {
      const to = byName.get(name);
      const [x1, y1, x2, y2] = [room.x + BOX.w / 2, room.y + BOX.h, to.x + BOX.w / 2, to.y];
      return `<path d="M ${x1} ${y1} C ${x1} ${y1 + 20} ${x2} ${y2 - 20} ${x2} ${y2}" stroke="${COLOUR[room.name.split('/')[0]]}" stroke-opacity="0.45" fill="none"/>`;
    }),
  );
  const boxes = rooms.map((room) => {
    const [house, ...rest] = room.name.split('/');
    return [
      `<rect x="${room.x}" y="${room.y}" width="${BOX.w}" height="${BOX.h}" rx="4" fill="#ffffff" stroke="${COLOUR[house]}" stroke-width="1.5"/>`,
      `<text x="${room.x + 8}" y="${room.y + 18}" font-weight="700" fill="${COLOUR[house]}">${house}/${rest.join('/')}</text>`,
      `<text x="${room.x + 8}" y="${room.y + 34}" fill="#444444">${room.files} files, ${room.lines} lines</text>`,
    ].join('');
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="11" role="img" aria-label="The rooms of the code: each stands on those below it that a line leads to"><rect width="100%" height="100%" fill="#f4f6f7"/>${lines.join('')}${boxes.join('')}</svg>\n`;
}

const rooms = readHouses();
const svg = draw(rooms, withFloors(rooms));
writeFileSync(path.join(ROOT, 'docs/floors.svg'), svg);
say(`${rooms.length} rooms drawn in docs/floors.svg`);
