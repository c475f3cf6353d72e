import SvgIcon from '@mui/material/SvgIcon';

/** A sign beside its word, never in its place. @param path one of `@mdi/js`. */
export const Icon = ({ path }: { path: string }) => (
  <SvgIcon aria-hidden="true">
    <path d={path} />
  </SvgIcon>
);
