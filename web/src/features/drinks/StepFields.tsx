import type { StepField } from '@big-ladle/core/book';
import { AMOUNTS } from './fields/amounts.tsx';
import { HEATING } from './fields/heating.tsx';
import { type FieldProps, type Fields, toolsOf } from './fields/tools.tsx';
import { WHEREABOUTS } from './fields/whereabouts.tsx';

/** What a step may say, each with its field. */
const FIELDS: Fields<StepField> = { ...HEATING, ...AMOUNTS, ...WHEREABOUTS };

/** One thing that a step may say. */
export const StepFieldInput = ({ field, ...props }: FieldProps & { field: StepField }) =>
  FIELDS[field](toolsOf(props));
