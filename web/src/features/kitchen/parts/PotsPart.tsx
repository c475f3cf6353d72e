import '../../../words/places/kitchen.ts';
import { potCapacityMl } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { VesselDrawing } from '../../../shared/drawings/VesselDrawing.tsx';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { centimetres, centimetresBy, litres, millilitres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { ToolsPanel } from '../Tools.tsx';

import { ChangeButton, type PartProps } from './rowsOf.tsx';

/** Pots, rings, bottles and tools. */
export function PotsPart({ kitchen, save, edit }: PartProps) {
  const scale = Math.min(8, 150 / Math.max(...kitchen.pots.map((p) => Math.max(p.heightCm, p.diameterCm))));
  return (
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
                description={say('kitchenPage.wideHigh', {
                  name: pot.name,
                  potCapacity: litres(potCapacityMl(pot) / 1000),
                  diameterCm: centimetres(pot.diameterCm, 0),
                  heightCm: centimetres(pot.heightCm, 0),
                  what: say(`material.${pot.material}`),
                })}
              />
              <Typography variant="h3">{pot.name}</Typography>
              <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                {litres(potCapacityMl(pot) / 1000)}, {centimetresBy(pot.diameterCm, pot.heightCm)},{' '}
                {say(`material.${pot.material}`)}
              </Box>
              <ChangeButton label={pot.name} onClick={() => edit({ what: 'pot', id: pot.id })} />
            </Box>
          ))}
        </Box>
        <Button variant="outlined" sx={{ mt: 1.5 }} onClick={() => edit({ what: 'pot', id: null })}>
          {say('kitchenPage.addAPot')}
        </Button>
      </Panel>
      <Panel title={say('kitchenPage.rings')}>
        {kitchen.burners.map((b) => (
          <Row
            key={b.id}
            label={b.name}
            note={<ChangeButton label={b.name} onClick={() => edit({ what: 'burner', id: b.id })} />}
          >
            {say(`burner.${b.kind}`)}, {num(b.powerW)} W
          </Row>
        ))}
        <Button variant="outlined" sx={{ mt: 1.5 }} onClick={() => edit({ what: 'burner', id: null })}>
          {say('kitchenPage.addARing')}
        </Button>
      </Panel>
      <Panel title={say('common.bottles')}>
        {kitchen.bottles.map((b) => (
          <Row
            key={b.id}
            label={`${b.name}, ${say(`material.${b.material}`)}`}
            note={<ChangeButton label={b.name} onClick={() => edit({ what: 'bottle', id: b.id })} />}
          >
            {num(b.count)} × {millilitres(b.volumeMl)}
          </Row>
        ))}
        <Button variant="outlined" sx={{ mt: 1.5 }} onClick={() => edit({ what: 'bottle', id: null })}>
          {say('kitchenPage.addABottleSize')}
        </Button>
      </Panel>
      <ToolsPanel kitchen={kitchen} save={save} />
    </>
  );
}
