import '../../words/places/items.ts';
import { sayRich } from '../../words/rich.ts';
import '../../words/places/shelf.ts';
import '../../words/places/steps.ts';
import { marksOf } from '@big-ladle/core/balance';
import { climateAt } from '@big-ladle/core/keeping';
import { containerCautions, containerUses, makeSpace, THAWED_DAYS } from '@big-ladle/core/shelf';
import {
  mdiBottleSodaClassicOutline,
  mdiCupOutline,
  mdiDeleteOutline,
  mdiFridgeOutline,
  mdiGiftOutline,
  mdiSnowflake,
  mdiSwapHorizontal,
} from '@mdi/js';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { placesOf } from '../../shared/house.ts';
import { Icon } from '../../shared/Icon.tsx';
import { StrongToday } from '../../shared/StrongToday.tsx';
import { type Living, standeeOf, useShelf } from '../../shared/shelf.ts';
import { Caution, Panel } from '../../shared/ui.tsx';
import { role, thumb } from '../../theme/theme.ts';
import { sayDrink, saySize } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { millilitres, volume } from '../../words/quantities.ts';
import { say, sayCode } from '../../words/say.ts';
import { SECOND, type ThingInput } from './itemPage.ts';

type Tool = 'level' | 'move' | 'give' | 'throw' | null;

/** Why a bottle is thrown out, as a rule. */
const REASONS = [
  'thrown.past',
  'thrown.fizz',
  'thrown.mould',
  'thrown.smell',
  'thrown.nobody',
  'thrown.spilt',
] as const;

/** What can happen to a bottle, each one tap or two. */
export function BottleDeeds(props: ThingInput & { living: Living }) {
  const { living, kitchen, around, record } = props;
  const { item, leftMl, life } = living;
  const { facts, log } = item;
  const [tool, setTool] = useState<Tool>(null);
  const here = log.places.at(-1)!.place;
  const places = placesOf(kitchen);
  const climate = climateAt(around, here);
  const fridge = places.find((p) => p.kind === 'fridge');
  const table = places.find((p) => p.kind === 'counter');
  const freezer = places.find((p) => p.kind === 'freezer');
  const button = (text: string, onClick: () => void, icon?: string, disabled = false) => (
    <Button
      startIcon={icon && <Icon path={icon} />}
      variant="outlined"
      color="inherit"
      sx={thumb}
      onClick={onClick}
      disabled={disabled}
    >
      {text}
    </Button>
  );
  const move = (place: string) => void record([{ kind: 'moved', body: { place } }]);
  const toggle = (name: Exclude<Tool, null>, text: string, icon?: string) => (
    <Button
      startIcon={icon && <Icon path={icon} />}
      variant={tool === name ? 'contained' : 'outlined'}
      color={tool === name ? 'primary' : 'inherit'}
      sx={thumb}
      aria-expanded={tool === name}
      onClick={() => setTool(tool === name ? null : name)}
    >
      {text}
    </Button>
  );
  const glassMl = Math.min(leftMl, facts.glass.servingMl);
  const isOver = life.verdict === 'past' || life.verdict === 'throwOut';
  return (
    <Panel title={say('bottleDeeds.whatHappensToIt')} testId="deeds" sx={SECOND}>
      {isOver && (
        <Button
          variant="contained"
          color="error"
          sx={{ ...thumb, width: '100%', mb: 1.5 }}
          data-testid="throw-out"
          onClick={() =>
            void record([
              {
                kind: 'discarded',
                body: { codes: [life.verdict === 'past' ? 'thrown.past' : 'thrown.notToDrink'] },
              },
            ])
          }
        >
          {say('bottleDeeds.throwItOut')}
        </Button>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {log.openedMs === null &&
          !isOver &&
          climate.kind !== 'freezer' &&
          button(
            say('bottleDeeds.openedNow'),
            () => void record([{ kind: 'opened', body: {} }]),
            mdiBottleSodaClassicOutline,
          )}
        {climate.kind !== 'freezer' &&
          button(
            say('bottleDeeds.aGlassPoured'),
            () => void record([{ kind: 'poured', body: { volumeMl: glassMl } }]),
            mdiCupOutline,
            leftMl < 1,
          )}
        {climate.kind !== 'freezer' && toggle('level', say('bottleDeeds.pouredDownTo'))}
        {climate.kind === 'counter'
          ? fridge && button(say('bottleDeeds.putBackInThe'), () => move(fridge.id), mdiFridgeOutline)
          : climate.kind !== 'freezer' &&
            table &&
            button(say('bottleDeeds.takenOutOfThe'), () => move(table.id))}
        {climate.kind === 'freezer'
          ? fridge && button(say('bottleDeeds.intoTheFridgeTo'), () => move(fridge.id), mdiFridgeOutline)
          : freezer && button(say('bottleDeeds.frozen'), () => move(freezer.id), mdiSnowflake)}
        {toggle('move', say('bottleDeeds.movedTo'), mdiSwapHorizontal)}
        {facts.bottle.keeping.live &&
          button(say('bottleDeeds.gasLetOff'), () => void record([{ kind: 'vented', body: {} }]))}
        {button(say('bottleDeeds.finished'), () => void record([{ kind: 'finished', body: {} }]))}
        {toggle('give', say('bottleDeeds.givenAway'), mdiGiftOutline)}
        {toggle('throw', say('bottleDeeds.thrownOut'), mdiDeleteOutline)}
      </Box>
      {tool === 'level' && (
        <Level
          leftMl={leftMl}
          fullMl={facts.bottle.volumeMl}
          onPoured={(volumeMl) => {
            void record([{ kind: 'poured', body: { volumeMl } }]);
            setTool(null);
          }}
        />
      )}
      {tool === 'move' && (
        <Move
          {...props}
          here={here}
          onMove={(place) => {
            move(place);
            setTool(null);
          }}
        />
      )}
      {Object.keys(facts.strongGPerL).length > 0 && <StrongToday zone={kitchen.zone} nowMs={props.nowMs} />}
      {tool === 'give' && (
        <Words
          label={say('bottleDeeds.toWhom')}
          start={facts.forWhom ?? ''}
          deed={say('bottleDeeds.givenAway')}
          note={say('bottleDeeds.tellThem', {
            cautions: [
              ...marksOf(facts.tags).map((m) => say(`mark.${m}`)),
              say('bottleDeeds.drinkByTheDate'),
            ].join(', '),
          })}
          onSaid={(to) => void record([{ kind: 'gaveAway', body: { to } }])}
        />
      )}
      {tool === 'throw' && (
        <Words
          label={say('bottleDeeds.why')}
          start={
            life.verdict === 'past'
              ? say('thrown.past')
              : life.verdict === 'throwOut'
                ? say('thrown.notToDrink')
                : ''
          }
          choices={REASONS.map((code) => say(code))}
          deed={say('bottleDeeds.thrownOut')}
          onSaid={(why) => {
            const code = [...REASONS, 'thrown.notToDrink' as const].find((c) => say(c) === why);
            void record([{ kind: 'discarded', body: code ? { codes: [code] } : { why } }]);
          }}
        />
      )}
      {climate.kind === 'freezer' && (
        <Box sx={{ color: role('inkMuted'), mt: 1 }}>
          {say('bottleDeeds.thawItInThe', { days: num(THAWED_DAYS) })}
        </Box>
      )}
    </Panel>
  );
}

/** How far down it is, by a level. */
function Level(props: { leftMl: number; fullMl: number; onPoured: (volumeMl: number) => void }) {
  const { leftMl, fullMl, onPoured } = props;
  const [level, setLevel] = useState(Math.round(leftMl));
  const poured = Math.max(0, leftMl - level);
  return (
    <Box sx={{ mt: 1.5 }}>
      <Box id="level-label">
        {sayRich('bottleDeeds.nowThereOneOther', {
          levelCount: level,
          level: <strong>{volume(level / 1000)}</strong>,
          poured: volume(poured / 1000),
        })}
      </Box>
      <Box sx={{ px: 1.5 }}>
        <Slider
          aria-labelledby="level-label"
          getAriaValueText={(v) => say('bottleDeeds.left', { left: millilitres(v) })}
          value={level}
          min={0}
          max={Math.round(fullMl)}
          step={10}
          onChange={(_, v) => setLevel(Math.min(Math.round(leftMl), v as number))}
        />
      </Box>
      <Button
        variant="contained"
        sx={thumb}
        disabled={poured < 1}
        onClick={() => onPoured(Math.round(poured))}
      >
        {say('bottleDeeds.poured')}
      </Button>
    </Box>
  );
}

/** Where to: what fits there, and what it does to the bottle. */
function Move(props: ThingInput & { living: Living; here: string; onMove: (place: string) => void }) {
  const { living, kitchen, around, nowMs, here, onMove } = props;
  const { facts } = living.item;
  const { shelf } = useShelf(nowMs);
  const [to, setTo] = useState<string | null>(null);
  const places = placesOf(kitchen).filter((p) => p.id !== here);
  const place = places.find((p) => p.id === to);
  const there = (shelf?.living ?? []).filter((l) => l.item.log.places.at(-1)?.place === to);
  const room = place
    ? makeSpace(place, there.map(standeeOf), [{ sizeMl: facts.sizeMl, diameterCm: facts.bottle.diameterCm }])
    : null;
  const cautions =
    place &&
    containerCautions(
      facts,
      containerUses({
        tempC: 0,
        frozen: place.kind === 'freezer',
        live: facts.bottle.keeping.live === true && place.kind !== 'fridge',
        acid: false,
        abvPct: 0,
      }),
    );
  const filledShare = living.leftMl / facts.sizeMl;
  return (
    <Box sx={{ mt: 1.5, display: 'grid', gap: 1 }}>
      <Choice
        label={say('bottleDeeds.movedTo2')}
        value={to ?? ''}
        options={places.map((p) => ({ value: p.id, text: p.name }))}
        onChange={setTo}
      />
      {room && room.first === null && <Alert severity="warning">{say('bottleDeeds.itDoesNotFit')}</Alert>}
      {room?.first && room.first.length > 0 && (
        <Alert severity="warning">
          {say('bottleDeeds.itIsFullThere', {
            first: room.first
              .map((s) => {
                const l = there.find((o) => o.item.facts.itemId === s.itemId)!;
                return `${sayDrink(l.item.facts.recipeId, l.item.facts.drinkName)}, ${saySize(l.item.facts.sizeName).toLowerCase()}`;
              })
              .join('; '),
          })}
        </Alert>
      )}
      {cautions?.map((row) => (
        <Caution
          key={row.code}
          severity={row.severity}
          word={say('bottleDeeds.theContainer')}
          text={sayCode(row.code)}
        />
      ))}
      {place?.kind === 'freezer' && filledShare > 0.9 && (
        <Caution
          severity="caution"
          word={say('common.room')}
          text={say('bottleDeeds.itIsFullPour', { filledShare: num(filledShare * 100) })}
        />
      )}
      {place && climateAt(around, place.id).tempC > 8 && (
        <Box sx={{ color: role('caution') }}>{say('bottleDeeds.warmThereItsLife')}</Box>
      )}
      <Button variant="contained" sx={thumb} disabled={to === null} onClick={() => to && onMove(to)}>
        {say('bottleDeeds.itStandsThereNow')}
      </Button>
    </Box>
  );
}

/** A few words said with a deed. */
function Words(props: {
  label: string;
  start: string;
  choices?: readonly string[];
  deed: string;
  note?: string;
  onSaid: (text: string) => void;
}) {
  const { label, start, choices = [], deed, note, onSaid } = props;
  const [text, setText] = useState(start);
  return (
    <Box
      component="form"
      sx={{ mt: 1.5, display: 'grid', gap: 1 }}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault();
        if (text.trim()) onSaid(text.trim().slice(0, 60));
      }}
    >
      {choices.length > 0 && (
        <Choice
          label={label}
          value={choices.includes(text) ? text : ''}
          options={choices.map((c) => ({ value: c, text: c }))}
          onChange={setText}
        />
      )}
      <TextField
        label={choices.length ? say('bottleDeeds.orInYourWords') : label}
        value={text}
        onChange={(e) => setText(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      {note && <Box sx={{ color: role('inkMuted') }}>{note}</Box>}
      <Button type="submit" variant="contained" sx={thumb} disabled={!text.trim()}>
        {deed}
      </Button>
    </Box>
  );
}
