import '../../../words/places/kitchen.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import Button from '@mui/material/Button';
import type { SaveKitchen } from '../../../shared/saveKitchen.ts';
import { say } from '../../../words/say.ts';

/** The row of the kitchen that a dialog is open for. */
export type Editing =
  | { what: 'pot'; id: string | null }
  | { what: 'burner'; id: string | null }
  | { what: 'bottle'; id: string | null }
  | { what: 'place'; id: string | null }
  | { what: 'measure'; id: string | null }
  | { what: 'cupWeight'; ingredientId: string | null };

/** What each part of the kitchen is given. */
export interface PartProps {
  kitchen: Kitchen;
  save: SaveKitchen;
  /** Opens the dialog of a row. */
  edit: (row: Editing) => void;
}

/** Opens the dialog of a row that is there. */
export function ChangeButton({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <Button size="small" onClick={onClick} aria-label={say('kitchenPage.change', { label })}>
      {say('kitchenPage.change2')}
    </Button>
  );
}
