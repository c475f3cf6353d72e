/** Where things stand once they are made. */
export const PLACE_KINDS = ['fridge', 'door', 'freezer', 'counter', 'cellar'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

export interface PlaceKindRow {
  kind: PlaceKind;
  /** Follows the fridge (and its logger), the room, or has a temperature of its own. */
  follows: 'fridge' | 'room' | 'own';
  /** Warmer than what it follows by so much, °C. */
  warmerC: number;
  /** Taken where the cook has not said, °C; for what follows something: not used. */
  usualC: number;
  /** Usual room for bottles: litres, and the floor they stand on, cm. */
  usual: { litres: number; widthCm: number; depthCm: number; heightCm: number };
  source: string;
}

export const PLACE_KIND_ROWS: readonly PlaceKindRow[] = [
  {
    kind: 'fridge',
    follows: 'fridge',
    warmerC: 0,
    usualC: 4,
    usual: { litres: 20, widthCm: 50, depthCm: 35, heightCm: 33 },
    source: 'One shelf of a household fridge, as wide and deep as its inside',
  },
  {
    kind: 'door',
    follows: 'fridge',
    warmerC: 1,
    usualC: 5,
    usual: { litres: 7, widthCm: 45, depthCm: 10, heightCm: 33 },
    source:
      'Household fridges: the door rack is one to three degrees warmer than the middle shelf; the least is taken, as the rack is opened for seconds',
  },
  {
    kind: 'freezer',
    follows: 'own',
    warmerC: 0,
    usualC: -18,
    usual: { litres: 25, widthCm: 40, depthCm: 35, heightCm: 20 },
    source: 'The usual setting of a household freezer',
  },
  {
    kind: 'counter',
    follows: 'room',
    warmerC: 0,
    usualC: 21,
    usual: { litres: 60, widthCm: 120, depthCm: 50, heightCm: 60 },
    source: 'A kitchen table',
  },
  {
    kind: 'cellar',
    follows: 'own',
    warmerC: 0,
    usualC: 13,
    usual: { litres: 60, widthCm: 80, depthCm: 40, heightCm: 45 },
    source: "Cellars keep near the year's mean temperature",
  },
];

export const placeKindRow = (kind: PlaceKind): PlaceKindRow => PLACE_KIND_ROWS.find((r) => r.kind === kind)!;
