import Button, { type ButtonProps } from '@mui/material/Button';
import { createContext, type ReactNode, type RefObject, useContext, useEffect, useRef } from 'react';
import { createPortal } from 'react-dom';

/** What a stove page offers the forms that stand in it. */
interface StoveFoot {
  /** The place at the foot of the page where the one wide button stands. */
  place: HTMLElement | null;
  /** What the one key for "next" does: the deeds of the wide buttons that can be pressed, the newest last. */
  next: RefObject<RefObject<() => void>[]>;
}

/** Null away from the stove. */
export const StoveFootContext = createContext<StoveFoot | null>(null);

/** Lets the key for "next" do what this button does, as long as it can be pressed. */
function useNextDeed(deed: () => void, can: boolean): void {
  const foot = useContext(StoveFootContext);
  const latest = useRef(deed);
  useEffect(() => {
    latest.current = deed;
  });
  useEffect(() => {
    const deeds = foot?.next.current;
    if (!deeds || !can) return;
    deeds.push(latest);
    return () => void deeds.splice(deeds.indexOf(latest), 1);
  }, [foot, can]);
}

/** The one wide button at the foot of the stove. */
export function WideButton({ onClick, disabled = false, ...rest }: ButtonProps & { onClick: () => void }) {
  useNextDeed(onClick, !disabled);
  return (
    <Button
      variant="contained"
      sx={{ flex: 1, minHeight: 72, fontSize: '1.35rem', flexDirection: 'column' }}
      disabled={disabled}
      onClick={onClick}
      {...rest}
    />
  );
}

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
  const { onClick, disabled = false } = props;
  const place = useContext(StoveFootContext)?.place;
  useNextDeed(onClick, !disabled);
  const button = (
    <Button
      variant="contained"
      disabled={disabled}
      onClick={onClick}
      data-testid={props.testId}
      sx={place ? { flex: 1, minHeight: 72, fontSize: '1.3rem' } : { minHeight: 56, fontSize: '1.1rem' }}
    >
      {props.children}
    </Button>
  );
  return place ? createPortal(button, place) : button;
}
