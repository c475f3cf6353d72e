import '../../words/places/drinks.ts';
import type { MethodAnswer, MethodRow } from '@big-ladle/core/compare';
import type { MarkerId } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { colours } from '../../shared/batch/liquorColour.ts';
import { Spoon } from '../../shared/drawings/Spoon.tsx';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { rowsFor } from './methodRows.tsx';
import { shadeOf } from './shades.ts';

export function MethodTable(props: {
  answers: readonly MethodAnswer[];
  rows: readonly MethodRow[];
  markers: readonly MarkerId[];
  recipeId: string;
}) {
  const { answers, rows, markers, recipeId } = props;
  const [why, setWhy] = useState<string | null>(null);
  const figures = rowsFor(
    markers,
    rows.some((r) => r.redLeft !== null),
    rows.some((r) => r.secondDraw),
  );
  const cell = {
    p: 1,
    textAlign: 'left',
    verticalAlign: 'top',
    borderBottom: `1px solid ${role('hairline')}`,
  };
  return (
    <Panel>
      <Box
        sx={{ overflowX: 'auto' }}
        tabIndex={0}
        role="region"
        aria-label={say('comparePage.methodsInFigures')}
      >
        <Box
          component="table"
          sx={{ borderCollapse: 'collapse', width: '100%', minWidth: 520 }}
          data-testid="method-table"
        >
          <thead>
            <tr>
              <Box component="td" sx={cell} />
              {answers.map((a) => (
                <Box
                  component="th"
                  scope="col"
                  key={a.methodId}
                  sx={{ ...cell, ...heading, fontSize: '1.05rem' }}
                >
                  {say(`method.${a.methodId}`)}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {figures.map((figure) => {
              const shown = rows.map((r) => ({ value: figure.value(r), text: figure.show(r) }));
              return (
                <tr key={figure.label}>
                  <Box component="th" scope="row" sx={{ ...cell, fontWeight: 400, minWidth: 150 }}>
                    <Box
                      component="button"
                      type="button"
                      aria-expanded={why === figure.label}
                      onClick={() => setWhy(why === figure.label ? null : figure.label)}
                      sx={{
                        all: 'unset',
                        cursor: 'pointer',
                        minHeight: 24,
                        '&:hover': { textDecoration: 'underline' },
                        '&:focus-visible': { outline: `3px solid ${role('rim')}` },
                      }}
                    >
                      {figure.label}
                    </Box>
                    {why === figure.label && (
                      <Box sx={{ color: role('inkMuted'), fontSize: '0.85rem' }}>{figure.why}</Box>
                    )}
                  </Box>
                  {answers.map((a) => {
                    if (!a.ok) {
                      return (
                        <Box component="td" key={a.methodId} sx={{ ...cell, color: role('inkMuted') }}>
                          –
                        </Box>
                      );
                    }
                    const shade = shadeOf(shown, rows.indexOf(a.row), figure.best);
                    return (
                      <Box
                        component="td"
                        key={a.methodId}
                        sx={{
                          ...cell,
                          fontWeight: shade === 'best' ? 700 : 400,
                          color: role(shade === 'best' ? 'ready' : shade === 'worst' ? 'caution' : 'ink'),
                        }}
                      >
                        {figure.show(a.row)}
                        {shade === 'best' && <Box component="span"> ✓</Box>}
                      </Box>
                    );
                  })}
                </tr>
              );
            })}
            <tr>
              <Box component="th" scope="row" sx={{ ...cell, fontWeight: 400 }}>
                {say('comparePage.inTheSpoonAnd')}
              </Box>
              {answers.map((a) => (
                <Box component="td" key={a.methodId} sx={cell}>
                  {a.ok && a.row.end ? (
                    <Spoon {...colours(a.row.end)} label="" />
                  ) : (
                    say('comparePage.doesNotWorkOut')
                  )}
                </Box>
              ))}
            </tr>
            <tr>
              <Box component="td" sx={cell} />
              {answers.map((a) => (
                <Box component="td" key={a.methodId} sx={cell}>
                  <Button
                    variant="outlined"
                    component={Link}
                    to={`/new/${recipeId}?method=${a.methodId}`}
                    aria-label={say('comparePage.makeItBy', { what: say(`method.${a.methodId}`) })}
                  >
                    {say('comparePage.makeItSo')}
                  </Button>
                </Box>
              ))}
            </tr>
          </tbody>
        </Box>
      </Box>
    </Panel>
  );
}
