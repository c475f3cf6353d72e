import '../../words/places/stove.ts';
import {
  type BurnerKind,
  EMPTY_KITCHEN,
  type Kitchen,
  type KitchenDoc,
  type PotMaterial,
  potCapacityMl,
  potSchema,
  ROUTES,
} from '@big-ladle/core';
import { valibotResolver } from '@hookform/resolvers/valibot';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { ApiError, ask } from '../../shared/api.ts';
import { VesselDrawing } from '../../shared/drawings/VesselDrawing.tsx';
import { keys, queryClient, takeKitchen } from '../../shared/queries.ts';
import { TakeArchive } from '../../shared/TakeArchive.tsx';
import { PageHead, Panel } from '../../shared/ui.tsx';
import { sayField } from '../../words/fields.ts';
import { litres, type MessageKey, say } from '../../words/say.ts';

/** A ring of each kind as it stands in most kitchens. */
const USUAL_RING: Record<BurnerKind, { name: MessageKey; powerW: number }> = {
  gas: { name: 'firstPot.gasRing', powerW: 2500 },
  electric: { name: 'firstPot.electricRing', powerW: 2000 },
  induction: { name: 'firstPot.inductionRing', powerW: 2200 },
};

const USUAL_BOTTLES = [
  {
    id: 'bottle-750',
    name: 'firstPot.tallBottle',
    volumeMl: 750,
    diameterCm: 8,
    material: 'glass',
    count: 12,
  },
  {
    id: 'bottle-500',
    name: 'firstPot.halfBottle',
    volumeMl: 500,
    diameterCm: 7,
    material: 'glass',
    count: 12,
  },
] as const;

/** The first run asks for one pot and starts. */
export function FirstPot({ doc }: { doc: KitchenDoc }) {
  const navigate = useNavigate();
  const [ring, setRing] = useState<BurnerKind>('gas');
  const [problem, setProblem] = useState<string | null>(null);
  const form = useForm({
    resolver: valibotResolver(potSchema),
    mode: 'onTouched',
    defaultValues: {
      id: uuid(),
      name: say('firstPot.bigPot'),
      diameterCm: 30,
      heightCm: 22,
      material: 'stainless' as PotMaterial,
      lid: true,
      massG: null,
    },
  });
  const values = form.watch();
  const fits =
    values.diameterCm >= 8 && values.heightCm >= 4 && values.diameterCm <= 80 && values.heightCm <= 80;
  const number = (name: 'diameterCm' | 'heightCm', label: string) => (
    <TextField
      label={label}
      error={form.formState.errors[name] !== undefined}
      helperText={sayField(form.formState.errors[name]?.message)}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      {...form.register(name, {
        setValueAs: (v: string | number) => Number(String(v).replace(',', '.') || Number.NaN),
      })}
    />
  );
  const save = form.handleSubmit(async (pot) => {
    setProblem(null);
    const kitchen: Kitchen = {
      ...EMPTY_KITCHEN,
      ...doc.kitchen,
      zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      pots: [pot],
      burners: doc.kitchen.burners.length
        ? doc.kitchen.burners
        : [{ id: `ring-${ring}`, kind: ring, ...USUAL_RING[ring], name: say(USUAL_RING[ring].name) }],
      bottles: doc.kitchen.bottles.length
        ? doc.kitchen.bottles
        : USUAL_BOTTLES.map((b) => ({ ...b, name: say(b.name) })),
    };
    try {
      const saved = await ask(ROUTES.saveKitchen, { body: { version: doc.version, kitchen } });
      queryClient.setQueryData(keys.kitchen, takeKitchen(saved));
      navigate('/drinks');
    } catch (error) {
      setProblem(error instanceof ApiError ? error.detail : say('firstPot.theKitchenServerDoes'));
    }
  });
  return (
    <>
      <PageHead title={say('firstPot.firstYourPot')} beside={say('firstPot.everythingIsSizedTo')}>
        <TakeArchive
          label={say('firstPot.takeInAKitchen')}
          onTaken={(taken) => setProblem(taken && !taken.ok ? taken.said : null)}
        />
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: '1fr 1fr' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Panel>
          <Box
            component="form"
            noValidate
            onSubmit={(e: React.FormEvent) => void save(e)}
            sx={{ display: 'grid', gap: 2 }}
          >
            <TextField
              label={say('common.whatYouCallIt')}
              error={form.formState.errors.name !== undefined}
              helperText={sayField(form.formState.errors.name?.message)}
              {...form.register('name')}
            />
            {number('diameterCm', say('common.widthInsideCm'))}
            {number('heightCm', say('common.heightInsideCm'))}
            <TextField
              select
              label={say('common.itIsMadeOf')}
              slotProps={{ select: { native: true } }}
              {...form.register('material')}
            >
              {(['stainless', 'enamel', 'aluminium', 'castIron', 'copper', 'glass'] as const).map((m) => (
                <option key={m} value={m}>
                  {say(`material.${m}`)}
                </option>
              ))}
            </TextField>
            {['aluminium', 'castIron', 'copper'].includes(values.material) && (
              <Alert severity="warning">{say('guide.pot.reactive')}</Alert>
            )}
            <Controller
              name="lid"
              control={form.control}
              render={({ field }) => (
                <FormControlLabel
                  control={<Switch checked={field.value} onChange={field.onChange} />}
                  label={say('common.itHasALid')}
                />
              )}
            />
            <TextField
              select
              label={say('firstPot.itStandsOn')}
              value={ring}
              onChange={(e) => setRing(e.target.value as BurnerKind)}
              slotProps={{ select: { native: true } }}
            >
              {(['gas', 'electric', 'induction'] as const).map((k) => (
                <option key={k} value={k}>
                  {say(`burner.${k}`)}
                </option>
              ))}
            </TextField>
            {problem && <Alert severity="error">{problem}</Alert>}
            <Button type="submit" variant="contained" disabled={form.formState.isSubmitting}>
              {say('firstPot.thatIsMyPot')}
            </Button>
          </Box>
        </Panel>
        <Panel>
          {fits && (
            <>
              <VesselDrawing
                name={values.name}
                diameterCm={Number(values.diameterCm)}
                heightCm={Number(values.heightCm)}
                levelCm={0}
                standsL={0}
                colour="transparent"
                description={say('firstPot.toTheBrim', {
                  name: values.name,
                  potCapacity: litres(potCapacityMl(values) / 1000),
                })}
              />
              <Typography variant="h3" component="p" sx={{ textAlign: 'center' }}>
                {say('firstPot.toTheBrim2', { potCapacity: litres(potCapacityMl(values) / 1000) })}
              </Typography>
            </>
          )}
        </Panel>
      </Box>
    </>
  );
}
