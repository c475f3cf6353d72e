import '../../../words/places/batch.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { POT, type Program, potAt, potCapacityMl, standsSideBySide } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { vesselName } from '../../../shared/batch/stepNames.ts';
import { VesselDrawing } from '../../../shared/drawings/VesselDrawing.tsx';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { centimetres, litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { lengthText, potView } from './figures.ts';
import type { PanelInput } from './input.ts';

/** The pot at its fullest. */
export function PotPanel({ program, sim, pot, kitchen }: PanelInput) {
  const view = potView(program, sim, pot);
  const heat = sim.trace.find((t) => t.kind === 'heat' && t.vesselId === POT);
  const burner = kitchen.burners.find((b) => b.id === program.burnerId);
  return (
    <Panel>
      {view && (
        <VesselDrawing
          name={pot.name}
          diameterCm={pot.diameterCm}
          heightCm={pot.heightCm}
          levelCm={view.levelCm}
          standsL={view.standsL}
          limitCm={view.limitCm}
          foamCm={view.foamCm}
          colour={view.colour}
          marks={view.marks}
          solids={view.solids}
          description={view.description}
        />
      )}
      <Box sx={{ textAlign: 'center', mt: 0.5 }}>
        <Typography variant="h3" component="p">
          {say('panels.wide', {
            name: pot.name,
            potCapacity: litres(potCapacityMl(pot) / 1000),
            diameterCm: centimetres(pot.diameterCm, 0),
          })}
        </Typography>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }} data-testid="pot-facts">
          {standsSideBySide(program) ? (
            <>{say('panels.besideIt', { pots: potShares(program, kitchen) })} </>
          ) : (
            program.fills > 1 && <>{say('panels.fillsEachTheSame', { fills: num(program.fills) })} </>
          )}
          {!view?.heated && <>{say('panels.nothingIsHeatedIt')} </>}
          {heat && burner && (
            <>
              {standsSideBySide(program)
                ? say('panels.allBoilAfterAbout', { lengthText: lengthText(heat) })
                : say('panels.boilsAfterAbout', { lengthText: lengthText(heat) })}{' '}
            </>
          )}
        </Box>
      </Box>
    </Panel>
  );
}

/** What each of several pots takes: "Blue pot takes 58 %, Tall pot takes 42 %". */
const potShares = (program: Program, kitchen: Kitchen): string =>
  (program.loadShares ?? [])
    .map((share, i) =>
      say('panels.shareOfPot', {
        pot: vesselName(program, kitchen, potAt(i)),
        percent: num(share * 100),
      }),
    )
    .join(', ');
