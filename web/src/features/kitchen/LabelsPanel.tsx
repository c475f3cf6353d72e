import '../../words/places/kitchen.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { FIRST_LABEL_ID, type Label, SHIPPED_TABLES } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Explain } from '../../shared/Explain.tsx';
import { emptied } from '../../shared/emptied.ts';
import { PickItem } from '../../shared/PickItem.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import type { SaveKitchen } from '../../shared/saveKitchen.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { say } from '../../words/say.ts';

const KNOWN = [...SHIPPED_TABLES.liquids.keys(), ...SHIPPED_TABLES.sweeteners.keys()];
const isSweetener = (id: string): boolean => SHIPPED_TABLES.sweeteners.has(id);

/** What a row of the tables says of itself, to compare a packet with. */
function tableSays(id: string): string {
  const liquid = SHIPPED_TABLES.liquids.get(id);
  if (liquid)
    return say('labelsPanel.theTableGOf', {
      sugar: num(liquid.sugarGPer100g * liquid.densityGPerMl, 1),
      brix: num(liquid.brix, 1),
      sourness: num(liquid.taGPerL, 1),
    });
  const sweetener = SHIPPED_TABLES.sweeteners.get(id);
  return sweetener
    ? say('labelsPanel.theTableGOfSugar', {
        sugarPct: num(sweetener.sugarPct),
        waterPct: num(sweetener.waterPct),
        relativeSweetness: num(sweetener.relativeSweetness, 2),
      })
    : '';
}

const saidOf = (l: Label): string =>
  [
    l.sugarPer100 === null
      ? ''
      : say('labelsPanel.gOfSugarIn', {
          sugarPer100: num(l.sugarPer100, 1),
          isSweetener: Boolean(isSweetener(l.like)),
        }),
    l.brix === null ? '' : `${num(l.brix, 1)} °Bx`,
    l.taGPerL === null ? '' : say('labelsPanel.sournessGL', { sourness: num(l.taGPerL, 1) }),
    l.abvPct === null ? '' : `${num(l.abvPct, 1)} %`,
    l.sweetened ? 'sweetened' : '',
  ]
    .filter(Boolean)
    .join(', ');

/** Liquids and sweeteners read, corrected from a packet or a refractometer, or added beside the tables. */
export function LabelsPanel({ kitchen, save }: { kitchen: Kitchen; save: SaveKitchen }) {
  const labels = kitchen.labels ?? [];
  const [like, setLike] = useState(FIRST_LABEL_ID);
  const [name, setName] = useState('');
  const [sugar, setSugar] = useState<number | null>(null);
  const [brix, setBrix] = useState<number | null>(null);
  const [sour, setSour] = useState<number | null>(null);
  const [abv, setAbv] = useState<number | null>(null);
  const [sweetened, setSweetened] = useState(false);
  const liquid = !isSweetener(like);
  const nothing = sugar === null && brix === null && sour === null && abv === null;
  const put = async () => {
    const own = name.trim();
    const label: Label = {
      id: own ? `own-${uuid().slice(-10)}` : like,
      name: own || sayItem(like),
      like,
      sugarPer100: sugar,
      brix: liquid ? brix : null,
      taGPerL: liquid ? sour : null,
      abvPct: liquid ? abv : null,
      sweetened: liquid && sweetened,
    };
    if (await save((k) => ({ labels: [...(k.labels ?? []).filter((l) => l.id !== label.id), label] }))) {
      setName(emptied(name, ''));
      setSugar(emptied(sugar, null));
      setBrix(emptied(brix, null));
      setSour(emptied(sour, null));
      setAbv(emptied(abv, null));
      setSweetened(emptied(sweetened, false));
    }
  };
  return (
    <Panel title={say('labelsPanel.fromTheLabel')} aside={say('labelsPanel.juicesSyrupsSweeteners')}>
      {labels.map((l) => (
        <Row
          key={l.id}
          testId="label-row"
          label={
            l.id === l.like
              ? say('labelsPanel.corrected', { name: l.name })
              : say('labelsPanel.like', { name: l.name, item: sayItem(l.like).toLowerCase() })
          }
          note={
            <Button
              size="small"
              aria-label={say('labelsPanel.takeBack', { name: l.name })}
              onClick={() => void save((k) => ({ labels: (k.labels ?? []).filter((o) => o.id !== l.id) }))}
            >
              {say('labelsPanel.takeBack2')}
            </Button>
          }
        >
          {saidOf(l)}
        </Row>
      ))}
      <Box sx={{ display: 'grid', gap: 1.5, mt: 1.5, gridTemplateColumns: 'minmax(0,1fr)' }}>
        <PickItem label={say('labelsPanel.itIsOrIs')} ids={KNOWN} value={like} onPick={setLike} />
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }} data-testid="table-says">
          {tableSays(like)}
        </Box>
        <TextField
          label={say('labelsPanel.aNameOfIts')}
          value={name}
          onChange={(e) => setName(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
          <QuantityField
            label={say('labelsPanel.sugarInTrueOther', { isLiquid: Boolean(liquid) })}
            value={sugar}
            min={0}
            max={100}
            unit="g"
            fixedUnit
            width={150}
            onValue={setSugar}
            testId="label-sugar"
          />
          {liquid && (
            <>
              <QuantityField
                label={say('common.refractometer')}
                value={brix}
                min={0}
                max={85}
                unit="°Bx"
                width={150}
                onValue={setBrix}
              />
              <QuantityField
                label={say('labelsPanel.sourness')}
                value={sour}
                min={0}
                max={150}
                unit="g/L"
                width={130}
                onValue={setSour}
              />
              <QuantityField
                label={say('labelsPanel.alcohol')}
                value={abv}
                min={0}
                max={96}
                unit="%"
                width={120}
                onValue={setAbv}
              />
            </>
          )}
        </Box>
        {liquid && (
          <Box sx={{ display: 'flex', gap: 2, color: role('inkMuted'), fontSize: '0.9rem' }}>
            <Explain term="brix">{say('common.refractometer')}</Explain>
            <Explain term="sourness">{say('labelsPanel.sourness')}</Explain>
          </Box>
        )}
        {liquid && (
          <FormControlLabel
            control={<Switch checked={sweetened} onChange={(e) => setSweetened(e.target.checked)} />}
            label={say('labelsPanel.sugarWasAddedTo')}
          />
        )}
        <Button
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          disabled={nothing}
          onClick={() => void put()}
        >
          {name.trim() ? say('labelsPanel.addIt') : say('labelsPanel.correctIt')}
        </Button>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
          {say('labelsPanel.batchesThatAreBegun')}
        </Box>
      </Box>
    </Panel>
  );
}
