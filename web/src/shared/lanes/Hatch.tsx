import { role } from '../../theme/theme.ts';

/** How fruit and flowers are drawn in a drink: for the `fill` of a path, by this id. */
export const Hatch = ({ id }: { id: string }) => (
  <pattern id={id} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <rect width="6" height="6" fill={role('enamel')} />
    <rect width="2" height="6" fill={role('rim')} />
  </pattern>
);
