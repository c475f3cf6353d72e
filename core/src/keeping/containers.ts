import type { BottleSize } from '../documents/kitchen.ts';
import { CONTAINER_CAUTION_ROWS, type ContainerCautionRow, type ContainerUse } from '../tables/containers.ts';

/** A container as cautions ask for it: a bottle with a metal lid where nobody has said. */
export type ContainerOf = Pick<BottleSize, 'material' | 'form' | 'closure'>;

const FORM = 'bottle';
const CLOSURE = 'metalLid';

/** What is to be minded with a container for what is done with it, the gravest first. */
export function containerCautions(
  container: ContainerOf,
  uses: readonly ContainerUse[],
): ContainerCautionRow[] {
  const fits = <T>(wanted: readonly T[], has: T) => wanted.length === 0 || wanted.includes(has);
  return CONTAINER_CAUTION_ROWS.filter(
    (row) =>
      uses.includes(row.use) &&
      fits(row.materials, container.material) &&
      fits(row.forms, container.form ?? FORM) &&
      fits(row.closures, container.closure ?? CLOSURE),
  ).sort((a, b) => Number(b.severity === 'danger') - Number(a.severity === 'danger'));
}

/** Hot enough to crack cold glass and to soften plastic, °C. */
const HOT_C = 60;
/** A spirit that is more than a splash, % by volume. */
const SPIRIT_PCT = 15;

/** What a drink and its place do to a container. */
export function containerUses(of: {
  tempC: number;
  frozen: boolean;
  live: boolean;
  acid: boolean;
  abvPct: number;
}): ContainerUse[] {
  return [
    ...(of.tempC > HOT_C ? (['hotFill'] as const) : []),
    ...(of.frozen ? (['freeze'] as const) : []),
    ...(of.live ? (['gas'] as const) : []),
    ...(of.acid ? (['acid'] as const) : []),
    ...(of.abvPct > SPIRIT_PCT ? (['spirit'] as const) : []),
  ];
}
