import '../../words/places/drinks.ts';
import { checkRecipe, defaultChoices, expand } from '@big-ladle/core/book';
import { recipeWarnings } from '@big-ladle/core/compare';
import {
  type Kitchen,
  type OwnStepKind,
  type Recipe,
  type RecipeLine,
  type RecipeStep,
  recipeSchema,
} from '@big-ladle/core/documents';
import { timetableFrom } from '@big-ladle/core/plan';
import { finishedL, largestFilling, waterPouredG } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { ApiError } from '../../shared/api.ts';
import { useBook } from '../../shared/book.ts';
import { Explain } from '../../shared/Explain.tsx';
import { PlausibilityQuestions } from '../../shared/PlausibilityQuestions.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { daysKept } from '../../shared/recipeSheet/daysKept.ts';
import { sayError, send } from '../../shared/send.ts';
import { ErrorPanel, Figure, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { WordsField } from '../../shared/WordsField.tsx';
import { role } from '../../theme/theme.ts';
import { sayField } from '../../words/fields.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { litresApart } from '../../words/quantities.ts';
import { duration, say } from '../../words/say.ts';
import { AddLine } from './AddLine.tsx';
import { EditorLine, ProblemLine } from './EditorLine.tsx';
import { newRecipe, type RecipeDraft, useRecipeDrafts, variantOf } from './recipeDraft.ts';
import { Steps } from './Steps.tsx';
import { useMade } from './useMade.ts';
import { WayOfIt } from './WayOfIt.tsx';

/** A recipe written from nothing, changed, or varied from another. */
export function EditorPage({ way }: { way: 'write' | 'edit' | 'vary' }) {
  const { id = '' } = useParams();
  const kitchen = useKitchen();
  const { book, own, tables, isPending } = useBook();
  const { drafts } = useRecipeDrafts();
  const source = book.find((r) => r.id === id);
  if (kitchen.isPending || (way !== 'write' && !source && isPending)) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  if (way !== 'write' && !source) return <Navigate to="/drinks" replace />;
  if (way === 'edit' && !own.some((r) => r.id === id)) return <Navigate to={`/drinks/${id}/vary`} replace />;
  const key = way === 'write' ? 'new' : `${way}:${id}`;
  const fresh = (): RecipeDraft => ({
    recipe:
      way === 'write'
        ? newRecipe()
        : way === 'edit'
          ? source!
          : variantOf(source!, say('editorPage.myWay', { drink: sayDrink(source!.id, source!.name) })),
    openedAt: way === 'edit' ? source!.version : 0,
    meant: [],
  });
  return (
    <Editor
      key={`${key}@${source?.version ?? 0}`}
      draftKey={key}
      kept={drafts[key]}
      fresh={fresh}
      kitchen={kitchen.data.kitchen}
      tables={tables}
    />
  );
}

function Editor(props: {
  draftKey: string;
  /** The draft as far as it was written; until the first change there is none, and a fresh one stands in. */
  kept: RecipeDraft | undefined;
  fresh: () => RecipeDraft;
  kitchen: Kitchen;
  tables: Tables;
}) {
  const { draftKey, kitchen, tables } = props;
  const [first] = useState(props.fresh);
  const draft = props.kept ?? first;
  const { put, drop } = useRecipeDrafts();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const [lanes, setLanes] = useState(false);
  const { recipe } = draft;
  const change = (next: Partial<Recipe>) => put(draftKey, { ...draft, recipe: { ...recipe, ...next } });
  const made = useMade(recipe, kitchen, tables);
  const keepsDays = useMemo(() => (made ? daysKept(made, kitchen) : null), [made, kitchen]);
  const stepsOfHerOwn = recipe.steps !== undefined && recipe.methods.includes('own');
  const problems = checkRecipe(recipe, tables);
  const slips = recipeWarnings(recipe, tables).filter((s) => !draft.meant.includes(s.key));

  const save = async () => {
    setProblem(null);
    const named = { ...recipe, name: recipe.name?.trim() ?? '' };
    const read = v.safeParse(recipeSchema, named, { abortPipeEarly: true });
    if (!read.success) {
      const issue = read.issues[0];
      const where = issue.path?.[0]?.key;
      setProblem(
        where === 'name' ? say('editorPage.giveTheDrinkA') : (sayField(issue.message) ?? say('field.other')),
      );
      return;
    }
    try {
      const stored =
        draft.openedAt > 0
          ? await send('saveRecipe', {
              params: { id: recipe.id },
              body: { version: draft.openedAt, recipe: named },
            })
          : await send('createRecipe', { body: { recipe: named } });
      navigate(`/drinks/${stored.id}`);
      drop(draftKey);
    } catch (error) {
      if (error instanceof ApiError && error.code === 'changedElsewhere') {
        const stored = error.body.stored as Recipe;
        setProblem(say('editorPage.thisRecipeWasChanged', { version: stored.version }));
        put(draftKey, { ...draft, openedAt: stored.version });
      } else setProblem(sayError(error, say('editorPage.theKitchenServerDoes')));
    }
  };

  // What stands for the drink where it ends in several lots: the fullest of its fillings.
  const end = made ? largestFilling(made.sim) : undefined;
  return (
    <>
      <PageHead
        title={recipe.name?.trim() || say('editorPage.aNewDrink')}
        beside={recipe.base ? say('editorPage.aVariant') : say('editorPage.writtenByYou')}
      >
        {stepsOfHerOwn && !lanes && (
          <Button onClick={() => setLanes(true)} data-testid="lanes-toggle">
            {say('editorPage.lanesOpen')}
          </Button>
        )}
        <Button
          onClick={() => {
            drop(draftKey);
            navigate('/drinks');
          }}
        >
          {say('editorPage.throwAway')}
        </Button>
        <Button variant="contained" onClick={() => void save()}>
          {say('common.keepIt')}
        </Button>
      </PageHead>
      {problem && (
        <Alert severity="error" sx={{ mb: 1.5 }} data-testid="editor-problem">
          {problem}
        </Alert>
      )}
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', mb: 1.5 }} data-testid="editor-figures">
        {(
          [
            [say('common.inBottles2'), ...inLitres(made && finishedL(made.sim)), 'litres'],
            [
              say('editorPage.water'),
              ...inLitres(made && waterPouredG(made.program.lines, tables) / 998.2),
              null,
            ],
            [say('editorPage.fromStartToBottles'), made ? duration(made.sim.endMin) : '–', '', null],
            [
              say('editorPage.ofYourHands'),
              made ? duration(timetableFrom(made.program, made.sim, 0).handsOnMin) : '–',
              '',
              'work',
            ],
            [
              say('editorPage.keeps'),
              keepsDays === null ? '–' : num(keepsDays),
              say('editorPage.days', { count: keepsDays ?? 0 }),
              null,
            ],
            [say('editorPage.allThatIsDissolved'), end ? num(end.now.brix, 1) : '–', '°Bx', 'brix'],
            [
              say('editorPage.sourAsCitric'),
              end ? num(Math.max(0, end.now.sournessGPerL), 1) : '–',
              'g/L',
              'sourness',
            ],
          ] as const
        ).map(([label, value, unit, term]) => (
          <Box key={label}>
            <Figure value={value} unit={unit} />
            <Box sx={{ color: role('inkMuted'), fontSize: '0.85rem' }}>
              {term ? <Explain term={term}>{label}</Explain> : label}
            </Box>
          </Box>
        ))}
      </Box>
      {lanes && stepsOfHerOwn && (
        <WayOfIt
          made={made}
          recipe={recipe}
          kitchen={kitchen}
          tables={tables}
          onChange={(steps) => change({ steps })}
          onFold={() => setLanes(false)}
        />
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,5fr) minmax(0,7fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
          <Panel title={say('editorPage.theDrink')}>
            <Box sx={{ display: 'grid', gap: 1.5 }}>
              <WordsField
                label={say('common.itsName')}
                value={recipe.name ?? ''}
                maxLength={80}
                whileTyping
                empty
                onCommit={(name) => change({ name })}
              />
              <WordsField
                label={say('editorPage.aLineAboutIt')}
                value={recipe.about ?? ''}
                whileTyping
                empty
                lines
                onCommit={(about) => change({ about })}
              />
              <WordsField
                label={say('editorPage.whatPeopleSayOf')}
                value={recipe.folkUse ?? ''}
                helper={say('editorPage.notedApartNobodyHas')}
                maxLength={500}
                whileTyping
                empty
                lines
                wide
                onCommit={(folkUse) => change({ folkUse })}
              />
              <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
                <QuantityField
                  label={say('editorPage.itMakes')}
                  value={recipe.basisL}
                  min={0.1}
                  max={400}
                  unit="L"
                  onValue={(basisL) => change({ basisL })}
                />
                <QuantityField
                  label={say('editorPage.sweetnessAimedAt')}
                  value={recipe.targetSweetnessPct}
                  min={0}
                  max={40}
                  unit={say('common.gG')}
                  width={190}
                  onValue={(targetSweetnessPct) => change({ targetSweetnessPct })}
                />
              </Box>
            </Box>
          </Panel>
          <Panel title={say('common.whatGoesIn')}>
            {recipe.lines.map((line) => (
              <EditorLine
                key={line.id}
                line={line}
                kitchen={kitchen}
                tables={tables}
                problems={problems.filter((p) => p.lineId === line.id)}
                onChange={(next) =>
                  change({ lines: recipe.lines.map((l) => (l.id === line.id ? { ...l, ...next } : l)) })
                }
                onRemove={() =>
                  change({
                    lines: recipe.lines.filter((l) => l.id !== line.id),
                    ...(recipe.steps
                      ? {
                          steps: recipe.steps.map((s) => ({
                            ...s,
                            lineIds: s.lineIds.filter((x) => x !== line.id),
                          })),
                        }
                      : {}),
                  })
                }
              />
            ))}
            <Box sx={{ mt: 1.5 }}>
              <AddLine
                kitchen={kitchen}
                tables={tables}
                onAdd={(line) => change({ lines: [...recipe.lines, line], ...withLine(recipe, line) })}
              />
            </Box>
          </Panel>
          {slips.length > 0 && (
            <Panel title={say('slip.ask')}>
              <PlausibilityQuestions
                slips={slips}
                forL={recipe.basisL}
                onMeant={(key) => put(draftKey, { ...draft, meant: [...draft.meant, key] })}
              />
            </Panel>
          )}
        </Box>
        <Panel
          title={say('editorPage.steps')}
          aside={recipe.steps ? say('editorPage.dragIntoOrderOr') : undefined}
        >
          {recipe.steps && recipe.methods.includes('own') ? (
            <Steps recipe={recipe} problems={problems} onChange={(steps) => change({ steps })} />
          ) : (
            <Box>
              <Box sx={{ mb: 1.5 }}>
                {say('editorPage.itIsMadeBy', {
                  methods: recipe.methods.map((m) => say(`method.${m}`)).join(', '),
                })}
              </Box>
              <Button
                variant="outlined"
                onClick={() => {
                  const [methodId] = recipe.methods;
                  if (!methodId) return;
                  change({
                    steps: expand(recipe, defaultChoices(recipe, methodId), tables),
                    methods: ['own', ...recipe.methods.filter((m) => m !== 'own')],
                  });
                }}
              >
                {say('editorPage.writeTheStepsMyself')}
              </Button>
            </Box>
          )}
          {problems
            .filter((p) => !p.lineId && !p.stepId)
            .map((p) => (
              <ProblemLine key={p.code} problem={p} />
            ))}
        </Panel>
      </Box>
    </>
  );
}

/** Litres as figure and unit, a dash while there are none. */
const inLitres = (volumeL: number | null | false | undefined): [string, string] => {
  if (typeof volumeL !== 'number') return ['–', ''];
  const { figure, unit } = litresApart(volumeL);
  return [figure, unit];
};

/** A new line stands in the first step that takes such things, so that it is used from the start. */
function withLine(recipe: Recipe, line: RecipeLine): Partial<Recipe> {
  if (!recipe.steps) return {};
  const wanted: OwnStepKind[] =
    line.kind === 'sweetener'
      ? ['sweeten']
      : line.kind === 'liquid'
        ? ['mix', 'combine']
        : ['combine', 'blend'];
  const home = wanted.flatMap((kind) => recipe.steps!.filter((s) => s.kind === kind))[0];
  if (home)
    return { steps: recipe.steps.map((s) => (s === home ? { ...s, lineIds: [...s.lineIds, line.id] } : s)) };
  if (line.kind === 'solid') return {};
  // Something to stir in, and no step for it yet: one before the bottles.
  const at = recipe.steps.findIndex((s) => s.kind === 'bottle');
  const added: RecipeStep = {
    id: uuid(),
    kind: wanted[0]!,
    lineIds: [line.id],
    minutes: line.kind === 'sweetener' ? 15 : 5,
  };
  const steps = [...recipe.steps];
  steps.splice(at < 0 ? steps.length : at, 0, added);
  return { steps };
}
