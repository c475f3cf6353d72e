import Button from '@mui/material/Button';
import { createContext, type ReactNode, useContext } from 'react';
import { createPortal } from 'react-dom';

/** The place at the foot of the stove posture where the one wide button stands; null away from the stove. */
export const PrimaryActionSlot = createContext<HTMLElement | null>(null);

/**
 * The deed that a form asks for next. At the stove it is the one wide button under the thumb, wherever in the page the
 * form stands; at the table it stands in the form itself.
 */
export function PrimaryAction(props: {
  onClick: () => void;
  disabled?: boolean;
  testId?: string;
  children: ReactNode;
}) {
  const slot = useContext(PrimaryActionSlot);
  const button = (
    <Button
      variant="contained"
      disabled={props.disabled ?? false}
      onClick={props.onClick}
      data-testid={props.testId}
      data-next
      sx={slot ? { flex: 1, minHeight: 72, fontSize: '1.3rem' } : { minHeight: 56, fontSize: '1.1rem' }}
    >
      {props.children}
    </Button>
  );
  return slot ? createPortal(button, slot) : button;
}
