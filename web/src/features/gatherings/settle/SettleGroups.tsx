import '../../../words/places/gatherings.ts';
import { GUEST_RULES, type GuestGroup, type GuestRule } from '@big-ladle/core/documents';
import { AGES, THIRSTS } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import { memo } from 'react';
import { v7 as uuid } from 'uuid';
import { useBook } from '../../../shared/book.ts';
import type { GatheringChange } from '../../../shared/gatherings/gatherings.ts';
import { PickItem } from '../../../shared/PickItem.tsx';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { WordsField } from '../../../shared/WordsField.tsx';
import { heading } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import { OneOf } from './OneOf.tsx';
import { SettleRow } from './SettleRow.tsx';

/** Who comes: how many, of which age, what they keep to, how thirsty they are. */
export const SettleGroups = memo(function SettleGroups(props: {
  groups: readonly GuestGroup[];
  onChange: (change: GatheringChange) => void;
}) {
  const { groups, onChange } = props;
  return (
    <Box data-testid="settle-groups">
      <Box sx={{ ...heading, mb: 1 }}>{say('settle.guests')}</Box>
      <Box sx={{ display: 'grid', gap: 2 }}>
        {groups.map((group) => (
          <Group key={group.id} group={group} onChangeAll={onChange} />
        ))}
      </Box>
      <Button
        variant="outlined"
        sx={{ mt: 1.5 }}
        onClick={() =>
          onChange((g) => ({
            ...g,
            groups: [
              ...g.groups,
              {
                id: uuid(),
                name: say('gatherings.firstGroup').toLowerCase(),
                least: 2,
                most: 2,
                age: 'adult',
                rules: [],
                thirst: 'usual',
              },
            ],
          }))
        }
      >
        {say('settle.addGroup')}
      </Button>
    </Box>
  );
});

const Group = memo(function Group(props: {
  group: GuestGroup;
  onChangeAll: (change: GatheringChange) => void;
}) {
  const { group, onChangeAll } = props;
  const onChange = (by: Partial<GuestGroup>) =>
    onChangeAll((g) => ({ ...g, groups: g.groups.map((x) => (x.id === group.id ? { ...x, ...by } : x)) }));
  const onDrop = () => onChangeAll((g) => ({ ...g, groups: g.groups.filter((x) => x.id !== group.id) }));
  const { book } = useBook();
  const has = (kind: GuestRule['kind']) => group.rules.some((r) => r.kind === kind);
  const toggle = (kind: (typeof GUEST_RULES)[number]) =>
    onChange({
      rules: has(kind) ? group.rules.filter((r) => r.kind !== kind) : [...group.rules, { kind }],
    });
  const sugar = group.rules.find((r) => r.kind === 'fewSugar');
  const without = group.rules.filter((r) => r.kind === 'without');
  const items = [...new Set(book.flatMap((r) => r.lines.map((l) => l.itemId)))];
  return (
    <SettleRow testId="settle-group">
      <WordsField
        label={say('settle.groupName')}
        value={group.name}
        onCommit={(name) => onChange({ name })}
      />
      <QuantityField
        label={say('settle.least')}
        value={group.least}
        min={0}
        max={2000}
        decimals={0}
        width={100}
        onCommit={(least) => onChange({ least, most: Math.max(least, group.most) })}
      />
      <QuantityField
        label={say('settle.most')}
        value={group.most}
        min={0}
        max={2000}
        decimals={0}
        width={100}
        onCommit={(most) => onChange({ most, least: Math.min(most, group.least) })}
      />
      <OneOf
        label={say('settle.age')}
        value={group.age}
        options={AGES.map((age) => ({ value: age, text: say(`settle.age.${age}`) }))}
        onChange={(age) => onChange({ age })}
      />
      <OneOf
        label={say('settle.thirst')}
        value={group.thirst}
        options={THIRSTS.map((thirst) => ({ value: thirst, text: say(`settle.thirst.${thirst}`) }))}
        onChange={(thirst) => onChange({ thirst })}
      />
      <QuantityField
        label={say('settle.fewSugar')}
        value={sugar?.kind === 'fewSugar' ? sugar.gPerGlass : null}
        unit="g"
        fixedUnit
        min={0}
        max={100}
        decimals={0}
        width={190}
        onCommit={(gPerGlass) =>
          onChange({
            rules: [...group.rules.filter((r) => r.kind !== 'fewSugar'), { kind: 'fewSugar', gPerGlass }],
          })
        }
      />
      <Box sx={{ width: 200 }}>
        <PickItem
          label={say('settle.without')}
          ids={items}
          value=""
          onPick={(itemId) => onChange({ rules: [...group.rules, { kind: 'without', itemId }] })}
        />
      </Box>
      <Box
        sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', flexBasis: '100%' }}
        role="group"
        aria-label={say('settle.rules')}
      >
        {GUEST_RULES.map((kind) => (
          <Chip
            key={kind}
            label={say(`settle.rule.${kind}`)}
            variant={has(kind) ? 'filled' : 'outlined'}
            color={has(kind) ? 'primary' : 'default'}
            aria-pressed={has(kind)}
            onClick={() => toggle(kind)}
          />
        ))}
        {without.map((r) =>
          r.kind === 'without' ? (
            <Chip
              key={r.itemId}
              color="primary"
              label={`${say('settle.without')} ${sayItem(r.itemId).toLowerCase()}`}
              onDelete={() => onChange({ rules: group.rules.filter((x) => x !== r) })}
            />
          ) : null,
        )}
        <Button size="small" color="error" onClick={onDrop}>
          {say('settle.takeAway')}
        </Button>
      </Box>
    </SettleRow>
  );
});
