import '../../../../words/places/batch.ts';
import { saysAlcohol } from '@big-ladle/core/program';
import {
  boiledLinesOf,
  companionsOf,
  LEFTOVER_KINDS,
  type LeftoverKind,
  leftoverRow,
  type Residue,
  residueOf,
  screenOf,
  setAsideGuidance,
  usesOf,
} from '@big-ladle/core/shelf';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Counter } from '../../../../shared/Counter.tsx';
import { Guidance } from '../../../../shared/Guidance.tsx';
import { placesOf } from '../../../../shared/house.ts';
import { notify } from '../../../../shared/notices.ts';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { useKitchen } from '../../../../shared/queries.ts';
import { role, thumb } from '../../../../theme/theme.ts';
import { grams, volume } from '../../../../words/quantities.ts';
import { days, say } from '../../../../words/say.ts';
import '../../../../words/places/items.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** What lies in the cloth and is not set aside yet. */
export function useResidue(live: LiveBatch): Residue[] {
  const { now, program, tables } = live;
  return useMemo(() => {
    const vessels = now.moment?.vessels ?? now.forecast.vessels;
    const aside = new Set(now.log.setAside.flatMap((e) => e.body.leftovers.map((l) => l.kind)));
    return residueOf(vessels, boiledLinesOf(program, tables), tables).filter((r) => !aside.has(r.kind));
  }, [now, program, tables]);
}

/** Keeps what is left over: how much, in how many portions, and where it goes. */
export function SetAside({ live, onDone }: { live: LiveBatch; onDone?: () => void }) {
  const residues = useResidue(live);
  const [kind, setKind] = useState<LeftoverKind | null>(null);
  const chosen = residues.find((r) => r.kind === kind) ?? null;
  if (residues.length === 0 && kind === null)
    return (
      <Box sx={{ display: 'grid', gap: 1 }}>
        <Box sx={{ color: role('inkMuted') }}>{say('setAside.nothingLiesInThe')}</Box>
        <Other onKind={setKind} />
      </Box>
    );
  return (
    <Box data-testid="set-aside" sx={{ display: 'grid', gap: 1.25 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {residues.map((r) => (
          <Button
            key={r.kind}
            variant={kind === r.kind ? 'contained' : 'outlined'}
            color={kind === r.kind ? 'primary' : 'inherit'}
            aria-pressed={kind === r.kind}
            sx={thumb}
            onClick={() => setKind(r.kind)}
          >
            {say(`leftover.${r.kind}`)}, {grams(r.massG)}
          </Button>
        ))}
        <Other onKind={setKind} />
      </Box>
      {kind && (
        <Keep
          key={kind}
          kind={kind}
          residue={chosen}
          live={live}
          onKept={() => {
            setKind(null);
            onDone?.();
          }}
        />
      )}
    </Box>
  );
}

/** Something that the model does not follow: a syrup, foam. */
function Other({ onKind }: { onKind: (kind: LeftoverKind) => void }) {
  return (
    <TextField
      select
      label={say('setAside.somethingElseThatIs')}
      value=""
      onChange={(e) => onKind(e.target.value as LeftoverKind)}
      sx={{ minWidth: 240 }}
    >
      {LEFTOVER_KINDS.map((k) => (
        <MenuItem key={k} value={k} sx={{ minHeight: 48 }}>
          {say(`leftover.${k}`)}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Keep(props: { kind: LeftoverKind; residue: Residue | null; live: LiveBatch; onKept: () => void }) {
  const { kind, residue, live, onKept } = props;
  const kitchen = useKitchen().data?.kitchen ?? live.kitchen;
  const row = leftoverRow(kind);
  const places = placesOf(kitchen).filter((p) => p.kind === 'fridge' || p.kind === 'freezer');
  const [massG, setMassG] = useState(Math.round(residue?.massG ?? row.portionG));
  const [portions, setPortions] = useState(1);
  // By all that was in the pot, before anything is put by.
  const facts = {
    kind,
    ingredientIds: residue?.ingredientIds ?? [],
    companionIds: companionsOf(live.program, live.now.forecast.trace),
    sugarPct: residue && residue.massG > 0 ? (100 * residue.sugarG) / residue.massG : 0,
    alcohol: live.now.forecast.trace.some((t) => saysAlcohol(t.now.abvPct)),
    strengthShare: residue?.strengthShare ?? 0,
  };
  const screen = screenOf(facts, live.tables);
  const keep = (placeId: string) => {
    void live.record(
      [
        {
          kind: 'setAside',
          body: {
            ...(live.step ? { stepId: live.step.id } : {}),
            leftovers: [
              {
                itemId: uuid(),
                kind,
                ingredientIds: residue?.ingredientIds ?? [],
                massG,
                portions,
                placeId,
              },
            ],
          },
        },
      ],
      { onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })) },
    );
    onKept();
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      {residue && (
        <Box sx={{ color: role('inkMuted') }}>
          {say('setAside.byTheModelWith', {
            mass: grams(residue.massG),
            held: volume(residue.heldMl / 1000),
          })}
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <QuantityField
          label={say('setAside.itWeighs')}
          value={massG}
          min={1}
          max={50_000}
          decimals={0}
          unit="g"
          width={140}
          onValue={setMassG}
          testId="aside-grams"
        />
        <Counter
          count={portions}
          text={say('count.portions', { count: portions })}
          fewer={say('setAside.onePortionFewer')}
          more={say('setAside.onePortionMore')}
          onChange={(n) => setPortions(Math.max(1, n))}
        />
      </Box>
      <Box>
        {say('setAside.goodForAUsual', {
          usesOf: usesOf(facts, live.tables)
            .map((u) => say(`use.${u}`).toLowerCase())
            .join(', '),
          portion: grams(row.portionG),
        })}
      </Box>
      {screen.length > 0 && (
        <Box data-testid="not-for-animals" sx={{ color: role('caution') }}>
          {say('setAside.notForAnimals', { screen: screen.map((code) => say(`screen.${code}`)).join(', ') })}
        </Box>
      )}
      <Guidance rows={setAsideGuidance(facts, live.tables)} />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {places.map((p) => (
          <Button key={p.id} variant="contained" sx={thumb} onClick={() => keep(p.id)}>
            {p.name},{' '}
            {days(
              p.kind === 'freezer'
                ? row.freezerDays
                : residue?.boiled === false
                  ? row.fridgeDays.raw
                  : row.fridgeDays.boiled,
            )}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
