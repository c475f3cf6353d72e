import '../../words/places/kitchen.ts';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { type ReactNode, useState } from 'react';
import { Navigate, useSearchParams } from 'react-router';
import { useKitchen } from '../../shared/queries.ts';
import { saveKitchenWith } from '../../shared/saveKitchen.ts';
import { ErrorPanel, Loading, PageHead } from '../../shared/ui.tsx';
import { say } from '../../words/say.ts';
import { ArchivePanel } from './ArchivePanel.tsx';
import { BackupPanel } from './BackupPanel.tsx';
import { InstrumentsPanel } from './InstrumentsPanel.tsx';
import { KITCHEN_PARTS, KitchenParts } from './KitchenParts.tsx';
import { MessagesPanel } from './MessagesPanel.tsx';
import { DevicesPanel } from './network/DevicesPanel.tsx';
import { OutOfSight } from './OutOfSight.tsx';
import { ColdPart } from './parts/ColdPart.tsx';
import { HousePart } from './parts/HousePart.tsx';
import { MeasuresPart } from './parts/MeasuresPart.tsx';
import { PotsPart } from './parts/PotsPart.tsx';
import type { Editing, PartProps } from './parts/rowsOf.tsx';
import { BottleDialog } from './rows/BottleDialog.tsx';
import { BurnerDialog } from './rows/BurnerDialog.tsx';
import { CupWeightDialog } from './rows/CupWeightDialog.tsx';
import { MeasureDialog } from './rows/MeasureDialog.tsx';
import { PlaceDialog } from './rows/PlaceDialog.tsx';
import { PotDialog } from './rows/PotDialog.tsx';

/** What the parts of the page show. */
const PARTS: Readonly<Record<(typeof KITCHEN_PARTS)[number], (props: PartProps) => ReactNode>> = {
  pots: PotsPart,
  cold: ColdPart,
  measures: MeasuresPart,
  house: HousePart,
  practice: PracticePart,
  data: DataPart,
};

function PracticePart({ kitchen, save }: PartProps) {
  return (
    <>
      <InstrumentsPanel fridgeC={kitchen.fridgeC} />
      <MessagesPanel kitchen={kitchen} save={save} />
    </>
  );
}

function DataPart({ kitchen }: PartProps) {
  return (
    <>
      <BackupPanel zone={kitchen.zone} />
      <ArchivePanel zone={kitchen.zone} />
      <DevicesPanel zone={kitchen.zone} />
      <OutOfSight zone={kitchen.zone} />
    </>
  );
}

/** The kitchen that everything is calculated for. */
export function KitchenPage() {
  const query = useKitchen();
  const [search] = useSearchParams();
  const part = KITCHEN_PARTS.find((p) => p === search.get('part')) ?? 'pots';
  const [editing, setEditing] = useState<Editing | null>(
    search.get('weigh') ? { what: 'cupWeight', ingredientId: null } : null,
  );
  const [problem, setProblem] = useState<string | null>(null);
  if (query.isPending) return <Loading />;
  if (query.isError) return <ErrorPanel error={query.error} again={() => void query.refetch()} />;
  const { kitchen } = query.data;
  if (kitchen.pots.length === 0) return <Navigate to="/" replace />;

  const save = saveKitchenWith(setProblem);

  const close = () => setEditing(null);
  const Part = PARTS[part];
  return (
    <>
      <PageHead title={say('common.kitchen')} beside={say('kitchenPage.everythingIsSizedTimed')} />
      {problem && (
        <Alert severity="error" sx={{ mb: 1.5 }} onClose={() => setProblem(null)}>
          {problem}
        </Alert>
      )}
      <KitchenParts part={part} />
      <Box
        sx={{
          display: 'grid',
          gap: 1.75,
          minWidth: 0,
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'repeat(2, minmax(0,1fr))' },
          alignItems: 'start',
        }}
      >
        <Part kitchen={kitchen} save={save} edit={setEditing} />
      </Box>
      {editing?.what === 'pot' && <PotDialog kitchen={kitchen} id={editing.id} save={save} onClose={close} />}
      {editing?.what === 'burner' && (
        <BurnerDialog kitchen={kitchen} id={editing.id} save={save} onClose={close} />
      )}
      {editing?.what === 'bottle' && (
        <BottleDialog kitchen={kitchen} id={editing.id} save={save} onClose={close} />
      )}
      {editing?.what === 'place' && (
        <PlaceDialog kitchen={kitchen} id={editing.id} save={save} onClose={close} />
      )}
      {editing?.what === 'measure' && (
        <MeasureDialog kitchen={kitchen} id={editing.id} save={save} onClose={close} />
      )}
      {editing?.what === 'cupWeight' && (
        <CupWeightDialog kitchen={kitchen} ingredientId={editing.ingredientId} save={save} onClose={close} />
      )}
    </>
  );
}
