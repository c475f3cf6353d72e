import '../../words/places/stove.ts';
import '../../words/places/steps.ts';
import type { Pot } from '@big-ladle/core/documents';
import { potCapacityMl } from '@big-ladle/core/program';
import type { BurnerKind } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { Fold } from '../../shared/Fold.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { litres } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';

const MATERIALS = ['stainless', 'enamel', 'aluminium', 'castIron', 'copper', 'glass'] as const;
const REACTIVE: ReadonlySet<string> = new Set(['aluminium', 'castIron', 'copper']);

/** Width and height for who has measured them, what it is made of, what it stands on: all with a usual answer. */
export function MoreAboutThePot(props: {
  pot: Pot;
  ring: BurnerKind;
  onPot: (change: Partial<Pot>) => void;
  onRing: (ring: BurnerKind) => void;
}) {
  const { pot, ring, onPot, onRing } = props;
  const shape = { diameterCm: pot.diameterCm, heightCm: pot.heightCm };
  return (
    <Fold summary={say('firstPage.moreAboutPot')}>
      <Box sx={{ display: 'grid', gap: 2, pt: 1 }}>
        <TextField
          label={say('common.whatYouCallIt')}
          value={pot.name}
          onChange={(e) => onPot({ name: e.target.value })}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          <QuantityField
            label={say('common.widthInside')}
            value={pot.diameterCm}
            min={8}
            max={80}
            decimals={1}
            unit="cm"
            onValue={(diameterCm) => onPot({ ...shape, diameterCm })}
            width={160}
          />
          <QuantityField
            label={say('common.heightInside')}
            value={pot.heightCm}
            min={4}
            max={80}
            decimals={1}
            unit="cm"
            onValue={(heightCm) => onPot({ ...shape, heightCm })}
            width={160}
          />
        </Box>
        <Box data-testid="pot-holds">
          {say('firstPot.toTheBrim2', { potCapacity: litres(potCapacityMl(pot) / 1000) })}
        </Box>
        <TextField
          select
          label={say('common.itIsMadeOf')}
          value={pot.material}
          onChange={(e) => onPot({ material: e.target.value as Pot['material'] })}
          slotProps={{ select: { native: true } }}
        >
          {MATERIALS.map((m) => (
            <option key={m} value={m}>
              {say(`material.${m}`)}
            </option>
          ))}
        </TextField>
        {REACTIVE.has(pot.material) && <Alert severity="warning">{say('guide.pot.reactive')}</Alert>}
        <FormControlLabel
          control={<Switch checked={pot.lid} onChange={(_, lid) => onPot({ lid })} />}
          label={say('common.itHasALid')}
        />
        <TextField
          select
          label={say('firstPot.itStandsOn')}
          value={ring}
          onChange={(e) => onRing(e.target.value as BurnerKind)}
          slotProps={{ select: { native: true } }}
        >
          {(['gas', 'electric', 'induction'] as const).map((k) => (
            <option key={k} value={k}>
              {say(`burner.${k}`)}
            </option>
          ))}
        </TextField>
      </Box>
    </Fold>
  );
}
