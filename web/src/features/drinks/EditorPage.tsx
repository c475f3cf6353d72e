import { Explain } from '../../shared/Explain.tsx';
import { sayRich } from '../../words/rich.ts';
import '../../words/places/drinks.ts';
import {
  checkRecipe,
  defaultChoices,
  expand,
  type Kitchen,
  OWN_STEP_KINDS,
  type OwnStepKind,
  type Recipe,
  type RecipeLine,
  type RecipeProblem,
  type RecipeStep,
  ROUTES,
  recipeSchema,
  recipeWarnings,
  type Tables,
  timetableFrom,
  waterPouredG,
} from '@big-ladle/core';
import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  type UniqueIdentifier,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { type ReactNode, useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { ApiError, ask } from '../../shared/api.ts';
import { refreshBook, useBook } from '../../shared/book.ts';
import { PlausibilityQuestions } from '../../shared/PlausibilityQuestions.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Figure, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayField } from '../../words/fields.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { duration, num, say } from '../../words/say.ts';
import { AddLine } from './AddLine.tsx';
import { EditorLine, ProblemLine } from './EditorLine.tsx';
import { newRecipe, type RecipeDraft, useRecipeDrafts, variantOf } from './recipeDraft.ts';
import { useMade } from './useMade.ts';

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
  const { recipe } = draft;
  const change = (next: Partial<Recipe>) => put(draftKey, { ...draft, recipe: { ...recipe, ...next } });
  const made = useMade(recipe, kitchen, tables);
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
          ? await ask(ROUTES.saveRecipe, {
              params: { id: recipe.id },
              body: { version: draft.openedAt, recipe: named },
            })
          : await ask(ROUTES.createRecipe, { body: { recipe: named } });
      await refreshBook();
      navigate(`/drinks/${stored.id}`);
      drop(draftKey);
    } catch (error) {
      if (error instanceof ApiError && error.code === 'changedElsewhere') {
        const stored = error.body.stored as Recipe;
        setProblem(say('editorPage.thisRecipeWasChanged', { version: stored.version }));
        put(draftKey, { ...draft, openedAt: stored.version });
      } else setProblem(error instanceof ApiError ? error.detail : say('editorPage.theKitchenServerDoes'));
    }
  };

  const end = made?.sim.trace.at(-1);
  return (
    <>
      <PageHead
        title={recipe.name?.trim() || say('editorPage.aNewDrink')}
        beside={recipe.base ? say('editorPage.aVariant') : say('editorPage.writtenByYou')}
      >
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
            [say('common.inBottles2'), end ? num(end.now.volumeL, 1) : '–', 'L', 'litres'],
            [
              say('editorPage.water'),
              made ? num(waterPouredG(made.program.lines, tables) / 998.2, 1) : '–',
              'L',
              null,
            ],
            [say('editorPage.fromStartToBottles'), made ? duration(made.sim.endMin) : '–', '', null],
            [
              say('editorPage.ofYourHands'),
              made ? duration(timetableFrom(made.program, made.sim, 0).handsOnMin) : '–',
              '',
              'work',
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
              <TextField
                label={say('common.itsName')}
                value={recipe.name ?? ''}
                onChange={(e) => change({ name: e.target.value })}
                slotProps={{ htmlInput: { maxLength: 80 } }}
              />
              <TextField
                label={say('editorPage.aLineAboutIt')}
                value={recipe.about ?? ''}
                onChange={(e) => change({ about: e.target.value })}
                multiline
              />
              <TextField
                label={say('editorPage.whatPeopleSayOf')}
                value={recipe.folkUse ?? ''}
                onChange={(e) => change({ folkUse: e.target.value })}
                helperText={say('editorPage.notedApartNobodyHas')}
                slotProps={{ htmlInput: { maxLength: 500 } }}
                fullWidth
                multiline
              />
              <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
                <QuantityField
                  label={say('editorPage.itMakes')}
                  value={recipe.basisL}
                  min={0.1}
                  max={400}
                  unit="L"
                  onCommit={(basisL) => change({ basisL })}
                />
                <QuantityField
                  label={say('editorPage.sweetnessAimedAt')}
                  value={recipe.targetSweetnessPct}
                  min={0}
                  max={40}
                  unit={say('common.gG')}
                  width={190}
                  onCommit={(targetSweetnessPct) => change({ targetSweetnessPct })}
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

const MINUTES: ReadonlySet<OwnStepKind> = new Set(OWN_STEP_KINDS.filter((k) => k !== 'heat'));
const LEVELS = ['rolling', 'medium', 'gentle', 'simmer'] as const;

/** Steps in their order; each holds the lines that go in with it. */
function Steps(props: {
  recipe: Recipe;
  problems: readonly RecipeProblem[];
  onChange: (steps: RecipeStep[]) => void;
}) {
  const { recipe, problems, onChange } = props;
  const steps = [...(recipe.steps ?? [])];
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const stepOf = (id: string): string | null => (id.startsWith('step:') ? id.slice(5) : null);
  const put = (lineId: string, stepId: string | null) =>
    onChange(
      steps.map((s) => ({
        ...s,
        lineIds:
          s.id === stepId
            ? [...s.lineIds.filter((x) => x !== lineId), lineId]
            : s.lineIds.filter((x) => x !== lineId || isCleaning(s.kind)),
        // It is all in one place now.
        ...(s.shares ? { shares: s.shares.filter((x) => x.lineId !== lineId) } : {}),
      })),
    );
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over) return;
    const from = String(active.id);
    const target = stepOf(String(over.id));
    if (!target) return;
    if (from.startsWith('line:')) put(from.slice(5).split('@')[0]!, target);
    else {
      const a = steps.findIndex((s) => s.id === stepOf(from));
      const b = steps.findIndex((s) => s.id === target);
      if (a >= 0 && b >= 0 && a !== b) onChange(arrayMove(steps, a, b));
    }
  };
  /** A step or an ingredient as it is read aloud while it is moved. */
  const spoken = ({ id }: { id: UniqueIdentifier }): string => {
    const text = String(id);
    if (text.startsWith('line:')) {
      const line = recipe.lines.find((l) => l.id === text.slice(5).split('@')[0]);
      return line ? sayItem(line.itemId) : '';
    }
    const index = steps.findIndex((s) => s.id === stepOf(text));
    return index < 0
      ? ''
      : say('editorPage.stepOf', {
          what: say(`step.${steps[index]!.kind}`),
          index: index + 1,
          length: steps.length,
        });
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => say('editorPage.lifted', { spoken: spoken(active) }),
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id ? say('editorPage.nowAt', { spoken: spoken(over) }) : undefined,
    onDragEnd: ({ active, over }) =>
      over
        ? say('editorPage.putDownAt', { spoken: spoken(active), spoken2: spoken(over) })
        : say('editorPage.putBack', { spoken: spoken(active) }),
    onDragCancel: ({ active }) => say('editorPage.putBack', { spoken: spoken(active) }),
  };
  const used = new Set(steps.filter((s) => !isCleaning(s.kind)).flatMap((s) => s.lineIds));
  const unused = recipe.lines.filter((l) => !used.has(l.id));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={dropped}
      accessibility={{ announcements, screenReaderInstructions: { draggable: say('editorPage.dragHelp') } }}
    >
      {unused.length > 0 && (
        <Box sx={{ mb: 1.5, p: 1, bgcolor: role('cautionGround'), borderRadius: 2 }} data-testid="unused">
          {sayRich('editorPage.notInAnyStep', {
            unused: (
              <Box component="span" sx={{ display: 'inline-flex', gap: 0.75, flexWrap: 'wrap' }}>
                {unused.map((l) => (
                  <LineChip
                    key={l.id}
                    line={l}
                    where="none"
                    steps={steps}
                    onPut={(stepId) => put(l.id, stepId)}
                  />
                ))}
              </Box>
            ),
          })}
        </Box>
      )}
      <SortableContext items={steps.map((s) => `step:${s.id}`)} strategy={verticalListSortingStrategy}>
        <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 1 }}>
          {steps.map((step, index) => (
            <StepCard
              key={step.id}
              step={step}
              number={index + 1}
              problems={problems.filter((p) => p.stepId === step.id)}
              onChange={(next) => onChange(steps.map((s) => (s.id === step.id ? next : s)))}
              onRemove={() => onChange(steps.filter((s) => s.id !== step.id))}
            >
              {step.lineIds.flatMap((id) => {
                const line = recipe.lines.find((l) => l.id === id);
                return line
                  ? [
                      <LineChip
                        key={id}
                        line={line}
                        where={step.id}
                        steps={steps}
                        onPut={(stepId) => put(id, stepId)}
                      />,
                    ]
                  : [];
              })}
            </StepCard>
          ))}
        </Box>
      </SortableContext>
      <TextField
        select
        label={say('editorPage.addAStep')}
        value=""
        onChange={(e) => {
          const kind = e.target.value as OwnStepKind;
          const at = steps.findIndex((s) => s.kind === 'bottle');
          const next = [...steps];
          next.splice(at < 0 ? steps.length : at, 0, {
            id: uuid(),
            kind,
            lineIds: [],
            minutes: kind === 'heat' || kind === 'cool' ? 0 : 10,
          });
          onChange(next);
        }}
        sx={{ mt: 1.5, minWidth: 200 }}
      >
        {OWN_STEP_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {say(`step.${kind}`)}
          </MenuItem>
        ))}
      </TextField>
    </DndContext>
  );
}

/** Washing and cutting only name what is washed and cut: it goes in elsewhere. */
const isCleaning = (kind: OwnStepKind): boolean => kind === 'wash' || kind === 'prep' || kind === 'pick';

function LineChip(props: {
  line: RecipeLine;
  where: string;
  steps: readonly RecipeStep[];
  onPut: (stepId: string) => void;
}) {
  const { line, where, steps, onPut } = props;
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({
    id: `line:${line.id}@${where}`,
  });
  const name = sayItem(line.itemId);
  return (
    <Box
      component="span"
      ref={setNodeRef}
      data-testid={`chip-${line.itemId}`}
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: 0.5,
        border: `1.5px solid ${role('line')}`,
        borderRadius: 2,
        bgcolor: role('enamel'),
        pl: 1,
        position: 'relative',
        zIndex: isDragging ? 10 : undefined,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <Box
        component="span"
        {...listeners}
        {...attributes}
        aria-roledescription={say('editorPage.ingredientToBeMoved')}
        sx={{ cursor: 'grab', py: 0.5, touchAction: 'none' }}
      >
        {name}
      </Box>
      <Box
        component="select"
        aria-label={say('editorPage.goesInWithStep', { name })}
        value={where}
        onChange={(e: React.ChangeEvent<HTMLSelectElement>) => onPut(e.target.value)}
        sx={{
          border: 0,
          bgcolor: 'transparent',
          color: role('inkMuted'),
          font: 'inherit',
          fontSize: '0.8rem',
          minHeight: 32,
          maxWidth: 62,
        }}
      >
        {where === 'none' && <option value="none">{say('editorPage.step')}</option>}
        {steps.map((s, i) => (
          <option key={s.id} value={s.id}>
            {i + 1}. {say(`step.${s.kind}`)}
          </option>
        ))}
      </Box>
    </Box>
  );
}

function StepCard(props: {
  step: RecipeStep;
  number: number;
  problems: readonly RecipeProblem[];
  onChange: (step: RecipeStep) => void;
  onRemove: () => void;
  children: ReactNode;
}) {
  const { step, number, problems, onChange } = props;
  const { setNodeRef, listeners, attributes, transform, transition, isDragging, isOver } = useSortable({
    id: `step:${step.id}`,
  });
  const name = say(`step.${step.kind}`);
  const choose = (
    label: string,
    value: string,
    options: readonly (readonly [string, string])[],
    set: (v: string) => void,
  ) => (
    <TextField
      select
      label={label}
      value={value}
      onChange={(e) => set(e.target.value)}
      sx={{ minWidth: 120 }}
    >
      {options.map(([id, text]) => (
        <MenuItem key={id} value={id}>
          {text}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box
      component="li"
      ref={setNodeRef}
      data-testid={`step-${step.kind}`}
      sx={{
        border: `1.5px solid ${isOver ? role('rim') : role('hairline')}`,
        borderRadius: 2,
        p: 1,
        bgcolor: role('enamel'),
        position: 'relative',
        zIndex: isDragging ? 5 : undefined,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        transition: transition ?? undefined,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Box
          component="button"
          type="button"
          {...listeners}
          {...attributes}
          aria-label={say('editorPage.stepMove', { number, name })}
          sx={{
            all: 'unset',
            cursor: 'grab',
            touchAction: 'none',
            px: 1,
            minHeight: 40,
            display: 'flex',
            alignItems: 'center',
            '&:focus-visible': { outline: `3px solid ${role('rim')}` },
          }}
        >
          ⠿
        </Box>
        <Box sx={{ ...heading, minWidth: 120 }}>
          {number}. {name}
        </Box>
        {MINUTES.has(step.kind) && (
          <QuantityField
            label={say('editorPage.minutesShort')}
            said={say('editorPage.minutes', { name })}
            value={step.minutes ?? null}
            min={0}
            max={86_400}
            decimals={0}
            unit="min"
            width={120}
            onCommit={(minutes) => onChange({ ...step, minutes })}
          />
        )}
        {step.kind === 'boil' &&
          choose(
            say('editorPage.boil'),
            step.level ?? 'gentle',
            LEVELS.map((l) => [l, l] as const),
            (level) => onChange({ ...step, level: level as 'gentle' }),
          )}
        {(step.kind === 'steep' || step.kind === 'soak' || step.kind === 'cool') &&
          choose(
            say('common.where'),
            step.place ?? 'counter',
            [
              ['counter', 'counter'],
              ['fridge', 'fridge'],
              ...(step.kind === 'cool' ? ([['iceBath', say('editorPage.iceWater')]] as const) : []),
            ],
            (place) => onChange({ ...step, place: place as 'fridge' }),
          )}
        {step.kind === 'strain' &&
          choose(
            say('editorPage.solidsAre'),
            step.press ?? 'press',
            [
              ['drain', 'drained'],
              ['press', 'pressed'],
              ['wring', 'wrung'],
            ],
            (press) => onChange({ ...step, press: press as 'press' }),
          )}
        <Button
          size="small"
          sx={{ ml: 'auto' }}
          onClick={props.onRemove}
          aria-label={say('editorPage.removeStep', { number, name })}
        >
          {say('common.remove2')}
        </Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', mt: 0.75 }}>{props.children}</Box>
      {step.text && <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem', mt: 0.5 }}>“{step.text}”</Box>}
      {problems.map((p) => (
        <ProblemLine key={p.code + p.lineId} problem={p} />
      ))}
    </Box>
  );
}
