import '../../../words/places/batch.ts';
import { type GlassFacts, glassFacts } from '@big-ladle/core/balance';
import { largestFilling, saysAlcohol } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { colours } from '../../../shared/batch/liquorColour.ts';
import { dailySugar } from '../../../shared/dailySugar.ts';
import { Spoon } from '../../../shared/drawings/Spoon.tsx';
import { Explain } from '../../../shared/Explain.tsx';
import type { Term } from '../../../shared/help.ts';
import { houseOf } from '../../../shared/house.ts';
import { Figure, Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { eachMeasure, grams, millilitres, nutrientGrams } from '../../../words/quantities.ts';
import { percent, say } from '../../../words/say.ts';
import type { PanelInput } from './input.ts';

const figureBox = { display: 'grid', gap: 0.25 };

/** Sweet, sour, and what a glass of it holds. */
export function BalancePanel({
  program,
  sim,
  kitchen,
  tables,
  children,
}: PanelInput & { children?: ReactNode }) {
  const entry = largestFilling(sim);
  if (!entry) return null;
  const { now } = entry;
  const glass = glassFacts(entry.after.liquor, kitchen.servingMl);
  const cell = (value: string, unit: string, label: string, testId: string, term: Term) => (
    <Box sx={figureBox}>
      <Figure value={value} unit={unit} testId={testId} />
      <Box sx={{ color: role('inkMuted'), fontSize: '0.85rem' }}>
        <Explain term={term}>{label}</Explain>
      </Box>
    </Box>
  );
  return (
    <Panel title={say('balancePage.balance')}>
      {children}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(120px, 1fr))',
          gap: 2,
          my: 1.5,
        }}
      >
        {cell(num(now.brix, 1), '°Bx', say('panels.allThatIsDissolved'), 'figure-brix', 'brix')}
        {cell(
          num(now.sweetnessPct, 1),
          say('common.gG'),
          say('panels.sweetnessAsSugar'),
          'figure-sweetness',
          'sweetness',
        )}
        {cell(
          num(Math.max(0, now.sournessGPerL), 1),
          'g/L',
          say('panels.titratableAcidityAsCitric'),
          'figure-ta',
          'sourness',
        )}
        {cell(
          now.ph.kind === 'estimate' ? num(now.ph.pH, 1) : '–',
          'pH',
          now.ph.kind === 'estimate'
            ? entry.after.liquor.read
              ? say('panels.asYouReadIt')
              : say('panels.estimate')
            : say('panels.tooLittleAcidTo'),
          'figure-ph',
          'ph',
        )}
        {saysAlcohol(now.abvPct) &&
          cell(num(now.abvPct, 1), '%', say('panels.alcohol'), 'figure-abv', 'strength')}
      </Box>
      <Typography variant="h3">
        {say('panels.inAGlassOf', { serving: millilitres(kitchen.servingMl) })}
      </Typography>
      <Row label={say('panels.sugar')} note={`${num(glass.kcal)} kcal`}>
        <span data-testid="figure-glass-sugar">{nutrientGrams(glass.sugarG)}</span>
      </Row>
      <Row label={say('panels.freeSugarsOfThe', dailySugar())}>
        <span data-testid="figure-glass-share">{percent(glass.shareOfCeiling)}</span>
      </Row>
      <Row label={say('panels.andOfTheG', dailySugar())}>{percent(glass.shareOfAim)}</Row>
      <Row label={glass.noAddedSugar ? say('panels.noAddedSugar') : say('panels.addedSugar')}>
        {glass.noAddedSugar ? say('panels.onlyThatOfThe') : grams(glass.addedSugarG)}
      </Row>
      <HouseLimits program={program} kitchen={kitchen} tables={tables} litresL={now.volumeL} glass={glass} />
      <Box sx={{ mt: 1.5 }}>
        <Spoon {...colours(entry)} label={say('panels.expectedColourOfThe')} />
      </Box>
    </Panel>
  );
}

/** Where a drink passes what the house has settled. */
function HouseLimits(props: {
  program: PanelInput['program'];
  kitchen: PanelInput['kitchen'];
  tables: PanelInput['tables'];
  litresL: number;
  glass: GlassFacts;
}) {
  const each = eachMeasure();
  const { program, kitchen, tables, litresL, glass } = props;
  const { freeSugarGPerGlass, citrusMlPerL } = houseOf(kitchen);
  const citrusMl = program.lines.reduce((sum, l) => {
    const row = tables.liquids.get(l.itemId);
    return row?.traits.includes('citrus') && row.traits.includes('sour')
      ? sum + l.massG / row.densityGPerMl
      : sum;
  }, 0);
  const perL = litresL > 0 ? citrusMl / litresL : 0;
  const passed = [
    ...(freeSugarGPerGlass !== null && glass.freeSugarG > freeSugarGPerGlass + 0.5
      ? [say('house.sugar', { is: num(glass.freeSugarG), most: num(freeSugarGPerGlass) })]
      : []),
    ...(citrusMlPerL !== null && perL > citrusMlPerL + 0.5
      ? [
          say('house.citrus', {
            is: millilitres(perL * each.litres),
            most: millilitres(citrusMlPerL * each.litres),
            each: say(`each.${each.name}`),
          }),
        ]
      : []),
  ];
  return passed.map((text) => (
    <Box key={text} data-testid="house-limit" sx={{ mt: 1, color: role('caution'), fontWeight: 700 }}>
      {text}
    </Box>
  ));
}
