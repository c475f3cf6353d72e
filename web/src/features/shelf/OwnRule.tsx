import '../../words/places/shelf.ts';
import type { BottleLife } from '@big-ladle/core/keeping';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { saveKitchen } from '../../shared/saveKitchen.ts';
import { Caution, Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { days, say } from '../../words/say.ts';

/** The cook's own rule for a drink: a shorter one counts at once, a longer one is shown as such, its caution kept. */
export function OwnRule(props: { recipeId: string; life: BottleLife; toolDays: number }) {
  const { recipeId, life, toolDays } = props;
  const { data } = useKitchen();
  const rules = data?.kitchen.ownRules ?? [];
  const rule = rules.find((r) => r.recipeId === recipeId);
  const [value, setValue] = useState<number | null>(rule?.sealedDays ?? null);
  if (!data) return null;
  const others = rules.filter((r) => r.recipeId !== recipeId);
  const put = (sealedDays: number | null) =>
    void saveKitchen({ ownRules: sealedDays === null ? others : [...others, { recipeId, sealedDays }] });
  return (
    <Panel title={say('ownRule.myOwnRule')} testId="own-rule">
      <Box sx={{ color: role('inkMuted') }}>{say('ownRule.forEveryBottleOf')}</Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1.25, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <QuantityField
          label={say('ownRule.days')}
          value={value}
          min={0}
          max={365}
          decimals={0}
          width={110}
          onValue={(v) => setValue(Math.round(v))}
          testId="own-days"
        />
        <Button
          variant="outlined"
          disabled={value === null || value === rule?.sealedDays}
          onClick={() => put(value)}
        >
          {say('ownRule.thatIsMyRule')}
        </Button>
        {rule && (
          <Button
            color="inherit"
            onClick={() => {
              put(null);
              setValue(null);
            }}
          >
            {say('ownRule.noRuleOfMy')}
          </Button>
        )}
      </Box>
      {rule && rule.sealedDays > toolDays && (
        <Box sx={{ mt: 1 }}>
          <Caution
            severity="danger"
            word={say('ownRule.longerThanThisTool')}
            text={say('ownRule.areYourOwnRule', {
              sealedDays: days(rule.sealedDays),
              toolDays: days(toolDays),
            })}
          />
        </Box>
      )}
      {rule && life.own && !life.own.longer && (
        <Box sx={{ mt: 1 }}>{say('ownRule.yourRuleCounts', { sealedDays: days(rule.sealedDays) })}</Box>
      )}
    </Panel>
  );
}
