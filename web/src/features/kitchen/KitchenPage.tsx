import '../../words/places/kitchen.ts';
import { DATE_ORDERS, FIRST_DAYS, type Kitchen } from '@big-ladle/core/documents';
import { potCapacityMl } from '@big-ladle/core/program';
import { unitOf } from '@big-ladle/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Navigate, useSearchParams } from 'react-router';
import { VesselDrawing } from '../../shared/drawings/VesselDrawing.tsx';
import { placesOf } from '../../shared/house.ts';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { saveKitchenWith } from '../../shared/saveKitchen.ts';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { celsius, grams, litres, longWeekdayName, num, say } from '../../words/say.ts';
import { ArchivePanel } from './ArchivePanel.tsx';
import { AwayPanel } from './AwayPanel.tsx';
import { BackupPanel } from './BackupPanel.tsx';
import { HousePanel } from './HousePanel.tsx';
import { InstrumentsPanel } from './InstrumentsPanel.tsx';
import { KITCHEN_PARTS, KitchenParts } from './KitchenParts.tsx';
import { LabelsPanel } from './LabelsPanel.tsx';
import { MessagesPanel } from './MessagesPanel.tsx';
import { measureName } from './names.ts';
import { DevicesPanel } from './network/DevicesPanel.tsx';
import { OutOfSight } from './OutOfSight.tsx';
import { BottleDialog } from './rows/BottleDialog.tsx';
import { BurnerDialog } from './rows/BurnerDialog.tsx';
import { CupWeightDialog } from './rows/CupWeightDialog.tsx';
import { MeasureDialog } from './rows/MeasureDialog.tsx';
import { PlaceDialog } from './rows/PlaceDialog.tsx';
import { PotDialog } from './rows/PotDialog.tsx';
import { ToolsPanel } from './Tools.tsx';

type Editing =
  | { what: 'pot'; id: string | null }
  | { what: 'burner'; id: string | null }
  | { what: 'bottle'; id: string | null }
  | { what: 'place'; id: string | null }
  | { what: 'measure'; id: string | null }
  | { what: 'cupWeight'; ingredientId: string | null };

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

  const scale = Math.min(8, 150 / Math.max(...kitchen.pots.map((p) => Math.max(p.heightCm, p.diameterCm))));
  const close = () => setEditing(null);
  const edit = (label: string, onClick: () => void) => (
    <Button size="small" onClick={onClick} aria-label={say('kitchenPage.change', { label })}>
      {say('kitchenPage.change2')}
    </Button>
  );
  const figure = (
    key: 'fridgeC' | 'fridgeFreeL' | 'roomC' | 'tapC' | 'altitudeM' | 'hardnessMeqPerL' | 'servingMl',
    label: string,
    unit: string,
    min: number,
    max: number,
    decimals: number,
    helper?: string,
  ) => (
    <QuantityField
      label={label}
      value={kitchen[key]}
      unit={unit}
      min={min}
      max={max}
      decimals={decimals}
      width={186}
      {...(helper ? { helper } : {})}
      onCommit={(value) => {
        if (value !== kitchen[key]) void save({ [key]: value });
      }}
    />
  );
  const zones = part === 'house' ? Intl.supportedValuesOf('timeZone') : [];

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
        {part === 'pots' && (
          <>
            <Panel
              title={say('kitchenPage.pots')}
              aside={say('kitchenPage.drawnToOneScale')}
              sx={{ gridColumn: '1 / -1' }}
            >
              <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-end' }}>
                {kitchen.pots.map((pot) => (
                  <Box key={pot.id} sx={{ textAlign: 'center' }}>
                    <VesselDrawing
                      name={pot.name}
                      diameterCm={pot.diameterCm}
                      heightCm={pot.heightCm}
                      levelCm={0}
                      standsL={0}
                      colour="transparent"
                      lid={pot.lid}
                      pxPerCm={scale}
                      description={say('kitchenPage.cmWideCmHigh', {
                        name: pot.name,
                        potCapacity: litres(potCapacityMl(pot) / 1000),
                        diameterCm: num(pot.diameterCm),
                        heightCm: num(pot.heightCm),
                        what: say(`material.${pot.material}`),
                      })}
                    />
                    <Typography variant="h3">{pot.name}</Typography>
                    <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                      {litres(potCapacityMl(pot) / 1000)}, {num(pot.diameterCm)} × {num(pot.heightCm)} cm,{' '}
                      {say(`material.${pot.material}`)}
                    </Box>
                    {edit(pot.name, () => setEditing({ what: 'pot', id: pot.id }))}
                  </Box>
                ))}
              </Box>
              <Button
                variant="outlined"
                sx={{ mt: 1.5 }}
                onClick={() => setEditing({ what: 'pot', id: null })}
              >
                {say('kitchenPage.addAPot')}
              </Button>
            </Panel>
            <Panel title={say('kitchenPage.rings')}>
              {kitchen.burners.map((b) => (
                <Row
                  key={b.id}
                  label={b.name}
                  note={edit(b.name, () => setEditing({ what: 'burner', id: b.id }))}
                >
                  {say(`burner.${b.kind}`)}, {num(b.powerW)} W
                </Row>
              ))}
              <Button
                variant="outlined"
                sx={{ mt: 1.5 }}
                onClick={() => setEditing({ what: 'burner', id: null })}
              >
                {say('kitchenPage.addARing')}
              </Button>
            </Panel>
            <Panel title={say('common.bottles')}>
              {kitchen.bottles.map((b) => (
                <Row
                  key={b.id}
                  label={`${b.name}, ${say(`material.${b.material}`)}`}
                  note={edit(b.name, () => setEditing({ what: 'bottle', id: b.id }))}
                >
                  {num(b.count)} × {num(b.volumeMl)} mL
                </Row>
              ))}
              <Button
                variant="outlined"
                sx={{ mt: 1.5 }}
                onClick={() => setEditing({ what: 'bottle', id: null })}
              >
                {say('kitchenPage.addABottleSize')}
              </Button>
            </Panel>
            <ToolsPanel kitchen={kitchen} save={save} />
          </>
        )}
        {part === 'cold' && (
          <>
            <Panel title={say('kitchenPage.whereThingsStand')}>
              {placesOf(kitchen).map((p) => (
                <Row
                  key={p.id}
                  label={`${p.name}, ${say(`place.${p.kind}`)}`}
                  note={edit(p.name, () => setEditing({ what: 'place', id: p.id }))}
                >
                  {litres(p.litres, 0)}, {num(p.widthCm)} × {num(p.depthCm)} cm
                  {p.tempC !== null && `, ${celsius(p.tempC)}`}
                </Row>
              ))}
              <Button
                variant="outlined"
                sx={{ mt: 1.5 }}
                onClick={() => setEditing({ what: 'place', id: null })}
              >
                {say('kitchenPage.addAPlace')}
              </Button>
            </Panel>
            <Panel title={say('kitchenPage.coldHeatAndWater')}>
              <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
                {figure('fridgeC', say('kitchenPage.fridge'), '°C', -1, 15, 1)}
                {figure('fridgeFreeL', say('kitchenPage.freeInTheFridge'), 'L', 0.5, 400, 1)}
                {figure('roomC', say('common.room'), '°C', 5, 45, 0)}
                {figure('tapC', say('kitchenPage.coldTap'), '°C', 1, 35, 0)}
                {figure(
                  'altitudeM',
                  say('kitchenPage.heightAboveTheSea'),
                  'm',
                  -430,
                  5000,
                  0,
                  say('kitchenPage.waterBoilsCLower'),
                )}
                {figure(
                  'hardnessMeqPerL',
                  say('kitchenPage.waterHardness'),
                  'meq/L',
                  0,
                  15,
                  1,
                  say('kitchenPage.softMediumHard'),
                )}
                {figure('servingMl', say('common.aGlass'), 'mL', 20, 1000, 0)}
              </Box>
            </Panel>
          </>
        )}
        {part === 'measures' && (
          <>
            <Panel title={say('kitchenPage.measuresAndCupWeights')}>
              <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
                <SelectField
                  label={say('kitchenPage.units')}
                  value={kitchen.units}
                  options={[
                    { value: 'metric', text: say('kitchenPage.metricCupsAndSpoons') },
                    { value: 'us', text: say('kitchenPage.usCupsAndSpoons') },
                  ]}
                  onChange={(value) => void save({ units: value as Kitchen['units'] })}
                />
                <SelectField
                  label={say('kitchenPage.iReachFor')}
                  value={kitchen.preferredMeasureId ?? ''}
                  options={[
                    { value: '', text: say('kitchenPage.aCup') },
                    ...kitchen.measures.map((m) => ({ value: m.id, text: m.name })),
                  ]}
                  onChange={(value) => void save({ preferredMeasureId: value || null })}
                />
              </Box>
              {kitchen.measures.map((m) => (
                <Row
                  key={m.id}
                  label={m.name}
                  note={edit(m.name, () => setEditing({ what: 'measure', id: m.id }))}
                >
                  {num(m.volumeMl)} mL
                </Row>
              ))}
              <Row label={say('kitchenPage.aCupHere')}>
                {num(unitOf(kitchen.units === 'us' ? 'usCup' : 'metricCup').factor, 1)} mL
              </Row>
              {kitchen.cupWeights.map((w) => (
                <Row
                  key={`${w.ingredientId}${w.measureId}`}
                  label={say('kitchenPage.of', {
                    measureName: measureName(w.measureId, kitchen),
                    item: sayItem(w.ingredientId).toLowerCase(),
                  })}
                  note={edit(say('kitchenPage.theWeightOf', { item: sayItem(w.ingredientId) }), () =>
                    setEditing({ what: 'cupWeight', ingredientId: w.ingredientId }),
                  )}
                >
                  {grams(w.massG)}
                </Row>
              ))}
              <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5 }}>
                <Button variant="outlined" onClick={() => setEditing({ what: 'measure', id: null })}>
                  {say('kitchenPage.addAMeasure')}
                </Button>
                <Button
                  variant="outlined"
                  onClick={() => setEditing({ what: 'cupWeight', ingredientId: null })}
                >
                  {say('kitchenPage.thisCupWeighs')}
                </Button>
              </Box>
            </Panel>
            <LabelsPanel kitchen={kitchen} save={save} />
          </>
        )}
        {part === 'house' && (
          <>
            <HousePanel kitchen={kitchen} save={save} />
            <AwayPanel kitchen={kitchen} save={save} />
            <Panel title={say('kitchenPage.languageAndDates')}>
              <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
                <SelectField
                  label={say('kitchenPage.timeZone')}
                  value={kitchen.zone}
                  options={(zones.includes(kitchen.zone) ? zones : [kitchen.zone, ...zones]).map((z) => ({
                    value: z,
                    text: z.replaceAll('_', ' '),
                  }))}
                  onChange={(zone) => void save({ zone })}
                />
                <SelectField
                  label={say('kitchen.dates')}
                  value={kitchen.dateOrder}
                  options={DATE_ORDERS.map((order) => ({ value: order, text: say(`dates.${order}`) }))}
                  onChange={(value) => {
                    const dateOrder = DATE_ORDERS.find((order) => order === value);
                    if (dateOrder) void save({ dateOrder });
                  }}
                />
                <SelectField
                  label={say('kitchen.firstDay')}
                  value={String(kitchen.firstDay)}
                  options={FIRST_DAYS.map((day) => ({ value: String(day), text: longWeekdayName(day) }))}
                  onChange={(value) => {
                    const firstDay = FIRST_DAYS.find((day) => String(day) === value);
                    if (firstDay !== undefined) void save({ firstDay });
                  }}
                />
              </Box>
            </Panel>
          </>
        )}
        {part === 'practice' && (
          <>
            <InstrumentsPanel fridgeC={kitchen.fridgeC} />
            <MessagesPanel kitchen={kitchen} save={save} />
          </>
        )}
        {part === 'data' && (
          <>
            <BackupPanel zone={kitchen.zone} />
            <ArchivePanel zone={kitchen.zone} />
            <DevicesPanel zone={kitchen.zone} />
            <OutOfSight zone={kitchen.zone} />
          </>
        )}
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

function SelectField(props: {
  label: string;
  value: string;
  options: readonly { value: string; text: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <Box
      component="label"
      sx={{ display: 'grid', gap: 0.5, fontSize: '0.9rem', color: role('inkMuted'), minWidth: 0 }}
    >
      {props.label}
      <Box
        component="select"
        value={props.value}
        onChange={(e: React.ChangeEvent<HTMLSelectElement>) => props.onChange(e.target.value)}
        sx={{
          font: 'inherit',
          fontSize: '1rem',
          minHeight: 44,
          px: 1,
          borderRadius: 1.5,
          border: `1px solid ${role('line')}`,
          bgcolor: role('enamel'),
          color: role('ink'),
          maxWidth: '100%',
        }}
      >
        {props.options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.text}
          </option>
        ))}
      </Box>
    </Box>
  );
}
