import { BOOK, SHIPPED_TABLES } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link, Navigate } from 'react-router';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { duration, litres, say } from '../../words/say.ts';

/** Choose what to make. */
export function ChooseDrinkPage() {
  const kitchen = useKitchen();
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} again={() => void kitchen.refetch()} />;
  if (kitchen.data.kitchen.pots.length === 0) return <Navigate to="/" replace />;
  return (
    <>
      <PageHead title="New batch" beside="What shall it be?" />
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 1.75 }}>
        {BOOK.map((recipe) => (
          <Panel
            key={recipe.id}
            title={say(`drink.${recipe.id}`)}
            aside={`written for ${litres(recipe.basisL)}`}
          >
            <Typography sx={{ mb: 1 }}>{say(`drink.${recipe.id}.about`)}</Typography>
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mb: 1.5 }}>
              {recipe.lines
                .filter((l) => l.itemId !== 'water')
                .map((l) => {
                  const row = SHIPPED_TABLES.ingredients.get(l.itemId);
                  return row
                    ? `${row.name.toLowerCase()}, ${row.form}`
                    : say(`item.${l.itemId}`).toLowerCase();
                })
                .join(' · ')}
            </Box>
            <Box sx={{ display: 'grid', gap: 1 }}>
              {recipe.methods.map((methodId) => (
                <Box
                  key={methodId}
                  component={Link}
                  to={`/new/${recipe.id}?method=${methodId}`}
                  sx={{
                    display: 'block',
                    border: `2px solid ${role('line')}`,
                    borderRadius: '4px 4px 12px 12px',
                    p: 1.25,
                    color: role('ink'),
                    textDecoration: 'none',
                    '&:hover': { borderColor: role('rim'), bgcolor: role('enamelDeep') },
                  }}
                >
                  <Box component="strong" sx={{ color: role('rim') }}>
                    {say(`method.${methodId}`)}
                  </Box>
                  <Box sx={{ fontSize: '0.9rem' }}>
                    {say(`method.${methodId}.why`)}{' '}
                    {methodId === 'straightBoil'
                      ? `Boils ${duration(recipe.times.straightBoilMin)}.`
                      : `Boils ${duration(recipe.times.boilMin)}, steeps ${duration(recipe.times.steepMin)}.`}
                  </Box>
                </Box>
              ))}
            </Box>
          </Panel>
        ))}
      </Box>
    </>
  );
}
