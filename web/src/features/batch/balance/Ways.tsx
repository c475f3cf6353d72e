import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import {
  type BalanceAim,
  type BalanceBinding,
  type Candidate,
  type CandidateKind,
  glassFacts,
  LESS_WATER,
  type Suggestion,
} from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import { volumeMl } from '@big-ladle/core/liquor';
import { traitsOf } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Fragment, type ReactNode } from 'react';
import { Choice } from '../../../shared/Choice.tsx';
import { byHand } from '../../../shared/handMeasure.ts';
import { Panel } from '../../../shared/ui.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { grams, litres, volume } from '../../../words/quantities.ts';
import { has, say, sayCode } from '../../../words/say.ts';

/** A candidate by its name: an item, or a whole fruit. */
export const candidateName = (id: string): string =>
  id === LESS_WATER ? say('balance.lessWater') : has(`fruit.${id}`) ? sayCode(`fruit.${id}`) : sayItem(id);

/** An amount as a cook measures it: whole fruit, a volume, spoons and grams. */
export function amountOf(
  part: { id: string; kind: CandidateKind; massG: number; volumeMl: number; pieces: number | null },
  kitchen: Kitchen,
  tables: Tables,
): string {
  if (part.pieces !== null) return num(part.pieces);
  if (part.kind === 'liquid' || part.kind === 'lessWater') return volume(part.volumeMl / 1000);
  const row = tables.sweeteners.get(part.id);
  if (!row || part.massG < 1) return grams(part.massG);
  return `${grams(part.massG)}, ${byHand(row, part.massG, kitchen)}`;
}

export const amountWords = (c: Candidate, units: number, kitchen: Kitchen, tables: Tables): string =>
  amountOf(
    {
      id: c.id,
      kind: c.kind,
      massG: Math.abs(c.unitG) * units,
      volumeMl: Math.abs(volumeMl(c.unit)) * units,
      pieces: c.whole ? units : null,
    },
    kitchen,
    tables,
  );

/** What keeps a way from the target, in words. */
export function bindingWords(binding: BalanceBinding): string {
  switch (binding.kind) {
    case 'onHand':
    case 'cap':
      return say(`balance.binds.${binding.kind}`, { what: candidateName(binding.id).toLowerCase() });
    case 'nothing':
      return say(`balance.lacks.${binding.lacks}`);
    default:
      return say(`balance.binds.${binding.kind}`);
  }
}

function wayTitle({ way }: Suggestion): string {
  const [a, b] = way.ids.map((id) => candidateName(id).toLowerCase());
  return say(`balance.way.${way.code}`, { a: a ?? '', b: b ?? '' });
}

/** The answers to the target, each one tap to show, and to take where that can be done. */
export function Ways(props: {
  suggestions: readonly Suggestion[];
  kitchen: Kitchen;
  tables: Tables;
  onShow: (suggestion: Suggestion) => void;
  aim: BalanceAim;
  onAim: (aim: BalanceAim) => void;
  taking?: (suggestion: Suggestion) => ReactNode;
}) {
  const { suggestions, kitchen, tables, onShow, aim, onAim, taking } = props;
  return (
    <Panel title={say('ways.waysToGetThere')} testId="ways">
      <Choice
        label={say('ways.withAsLittleAs')}
        value={aim}
        options={[
          { value: 'leastAdded', text: say('ways.everything') },
          { value: 'leastSugar', text: say('ways.sugar') },
        ]}
        onChange={(v) => onAim(v as BalanceAim)}
      />
      {suggestions.length === 0 && (
        <Box sx={{ color: role('inkMuted') }}>{say('ways.nothingMayBeAdded')}</Box>
      )}
      {suggestions.map((s) => {
        const glass = glassFacts(s.result, kitchen.servingMl);
        const raw = s.parts.some(
          (p) => p.kind === 'fruit' || tables.liquids.get(p.id)?.treatment === 'rawJuice',
        );
        const honey = traitsOf(
          s.parts.map((p) => p.id),
          tables,
        ).has('honey');
        return (
          <Box
            key={`${s.way.code}${s.way.ids.join()}`}
            data-testid="way"
            sx={{ py: 1.25, borderBottom: `1px solid ${role('hairline')}` }}
          >
            <Box sx={{ ...heading, fontSize: '1.1rem', color: s.met ? undefined : role('inkMuted') }}>
              {wayTitle(s)}
            </Box>
            <Box sx={{ mt: 0.25 }}>
              {s.parts.length === 0
                ? say('balance.nothingToAdd')
                : s.parts.map((p, i) => (
                    <Fragment key={p.id}>
                      {i > 0 && '; '}
                      {candidateName(p.id)} <strong>{amountOf(p, kitchen, tables)}</strong>
                    </Fragment>
                  ))}
            </Box>
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.25 }}>
              {say('ways.gOfFreeSugars', {
                freeSugar: num(glass.freeSugarG),
                volume: litres(volumeMl(s.result) / 1000),
                noAddedSugar: say('balance.noAddedSugar'),
                isNoAddedSugar: Boolean(glass.noAddedSugar),
                rawJuice: say('balance.rawJuice'),
                isRaw: Boolean(raw),
                honey: say('balance.honey'),
                isHoney: Boolean(honey),
              })}
            </Box>
            {s.binding && (
              <Box sx={{ color: role('caution'), fontSize: '0.9rem', mt: 0.25 }} data-testid="binding">
                {say('balance.nearest')} {bindingWords(s.binding)}
              </Box>
            )}
            {s.parts.length > 0 && (
              <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
                <Button variant="outlined" onClick={() => onShow(s)}>
                  {say('ways.showIt')}
                </Button>
                {taking?.(s)}
              </Box>
            )}
          </Box>
        );
      })}
    </Panel>
  );
}
