/** What drinks are put by in. */
export const CONTAINER_FORMS = ['bottle', 'jar', 'bag'] as const;
export type ContainerForm = (typeof CONTAINER_FORMS)[number];
export const CONTAINER_MATERIALS = ['glass', 'plastic', 'steel'] as const;
export type ContainerMaterial = (typeof CONTAINER_MATERIALS)[number];
export const CLOSURES = ['metalLid', 'plasticLid', 'swingTop', 'cork', 'zip'] as const;
export type Closure = (typeof CLOSURES)[number];

/** What is done with a container, or what is in it. */
export type ContainerUse = 'hotFill' | 'freeze' | 'gas' | 'acid' | 'spirit';

export interface ContainerCautionRow {
  code: string;
  use: ContainerUse;
  /** Empty: any. */
  materials: readonly ContainerMaterial[];
  forms: readonly ContainerForm[];
  closures: readonly Closure[];
  severity: 'caution' | 'danger';
  source: string;
}

const SOURCE = 'Usual kitchen safety for filling, freezing and closing';

export const CONTAINER_CAUTION_ROWS: readonly ContainerCautionRow[] = [
  {
    code: 'container.hotGlass',
    use: 'hotFill',
    materials: ['glass'],
    forms: [],
    closures: [],
    severity: 'danger',
    source: SOURCE,
  },
  {
    code: 'container.hotPlastic',
    use: 'hotFill',
    materials: ['plastic'],
    forms: [],
    closures: [],
    severity: 'danger',
    source: SOURCE,
  },
  {
    code: 'container.freezeGlass',
    use: 'freeze',
    materials: ['glass'],
    forms: [],
    closures: [],
    severity: 'danger',
    source: 'Water grows by 9 % as it freezes; shouldered glass cracks first',
  },
  {
    code: 'container.freezeRoom',
    use: 'freeze',
    materials: ['plastic', 'steel'],
    forms: [],
    closures: [],
    severity: 'caution',
    source: 'Water grows by 9 % as it freezes',
  },
  {
    code: 'container.gasGlass',
    use: 'gas',
    materials: ['glass'],
    forms: [],
    closures: [],
    severity: 'danger',
    source: SOURCE,
  },
  {
    code: 'container.gasTight',
    use: 'gas',
    materials: ['plastic', 'steel'],
    forms: [],
    closures: [],
    severity: 'caution',
    source: SOURCE,
  },
  {
    code: 'container.metalLid',
    use: 'acid',
    materials: [],
    forms: [],
    closures: ['metalLid'],
    severity: 'caution',
    source: 'Acid works at bare or scratched metal lids',
  },
  {
    code: 'container.spiritPlastic',
    use: 'spirit',
    materials: ['plastic'],
    forms: [],
    closures: [],
    severity: 'caution',
    source: 'Strong spirit draws from plastics not made for it',
  },
];

/** Left free for shaking and the cork; what is to be frozen grows by 9 %. Shares of the container. */
export const HEADSPACE = Object.freeze({ usual: 0.04, freezing: 0.1, live: 0.1 });
