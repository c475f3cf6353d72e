import '../../words/places/drinks.ts';
import { send } from '../../shared/send.ts';
import { ThumbBar } from '../../shared/ThumbBar.tsx';
import { sayRich } from '../../words/rich.ts';
import '../../words/places/recipeText.ts';
import { ROUTES } from '@big-ladle/core/contract';
import type { MethodId, Recipe } from '@big-ladle/core/documents';
import { timetableFrom } from '@big-ladle/core/plan';
import { finishedL, guidanceAt, tagsOfBatch } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { ask } from '../../shared/api.ts';
import { useBook } from '../../shared/book.ts';
import { PlantDrawing } from '../../shared/drawings/PlantDrawing.tsx';
import { plantOf } from '../../shared/drawings/plants/plants.ts';
import { Guidance } from '../../shared/Guidance.tsx';
import { WhoAsksFirst } from '../../shared/LotMarks.tsx';
import { notify } from '../../shared/notices.ts';
import { Photos } from '../../shared/photos/lazy.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { RecipeSheet } from '../../shared/recipeSheet/RecipeSheet.tsx';
import { SaveAsJson } from '../../shared/recipeSheet/SaveAsJson.tsx';
import { amountText, lineGrams } from '../../shared/recipeText/goesIn.ts';
import { recipeText } from '../../shared/recipeText/recipeText.ts';
import { stepSentences } from '../../shared/recipeText/sentences.ts';
import { TextOut } from '../../shared/TextOut.tsx';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { litres } from '../../words/quantities.ts';
import { duration, fullDay, say, sayCode } from '../../words/say.ts';
import { RecipeFace } from './face/RecipeFace.tsx';
import { LineFacts } from './LineFacts.tsx';
import { Notebook } from './Notebook.tsx';
import { useMade } from './useMade.ts';

/** A drink in the book: read it, make it, vary it, take it elsewhere. */
export function RecipePage() {
  const { id = '' } = useParams();
  const kitchen = useKitchen();
  const { book, own, tables, isPending } = useBook();
  const recipe = book.find((r) => r.id === id);
  const mine = own.some((r) => r.id === id);
  const [methodId, setMethodId] = useState<MethodId | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const navigate = useNavigate();
  const method = methodId && recipe?.methods.includes(methodId) ? methodId : recipe?.methods[0];
  const made = useMade(recipe, kitchen.data?.kitchen, tables, method);
  const versions = useQuery({
    queryKey: ['recipe-versions', id],
    queryFn: () => ask(ROUTES.recipeVersions, { params: { id } }),
    enabled: mine,
  });
  if (kitchen.isPending || (!recipe && isPending)) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  if (!recipe || !method)
    return <PageHead title={say('recipePage.notInTheBook')} beside={say('recipePage.thisDrinkIsNot')} />;
  const k = kitchen.data.kitchen;
  const name = sayDrink(recipe.id, recipe.name);
  const about = recipe.name ? (recipe.about ?? '') : sayCode(`drink.${recipe.id}.about`);
  const base = recipe.base ? book.find((r) => r.id === recipe.base!.id) : undefined;
  const tags = made
    ? tagsOfBatch(made.program, made.sim.trace, tables)
    : tagsOfBatch({ lines: recipe.lines, vessels: [] }, [], tables);
  const written = made ? { recipe, ...made, kitchen: k, tables } : null;
  const text = written ? recipeText(written) : null;
  const steps = written ? stepSentences(written) : [];

  // A size that does not fit this kitchen is shown as the nearest that does.
  const madeL = made ? finishedL(made.sim) : recipe.basisL;

  const takeOut = async () => {
    await send('retireRecipe', { params: { id }, query: { version: recipe.version } });
    navigate('/drinks');
  };

  const goesInAndDone = (
    <>
      <Panel
        title={say('common.whatGoesIn')}
        aside={say('recipePage.forInBottles', { basis: litres(madeL) })}
      >
        {made ? (
          made.program.lines.map((line) => {
            const massG = lineGrams(made, line.id);
            const changed = base ? differenceOf(base, recipe, line.id) : null;
            return (
              <Box key={line.id}>
                <Row
                  dense
                  drawn
                  testId={`recipe-line-${line.id}`}
                  label={
                    <Box
                      component="button"
                      type="button"
                      aria-expanded={open === line.id}
                      onClick={() => setOpen(open === line.id ? null : line.id)}
                      sx={{
                        all: 'unset',
                        cursor: 'pointer',
                        minHeight: 40,
                        display: 'flex',
                        alignItems: 'center',
                        gap: 1.25,
                        '&:hover': { textDecoration: 'underline' },
                        '&:focus-visible': { outline: `3px solid ${role('rim')}` },
                      }}
                    >
                      <PlantDrawing plant={plantOf(line.itemId, tables)} size={36} />
                      <span>
                        {sayItem(line.itemId)}
                        {line.share && `, ${say(`share.${line.share}`)}`}
                      </span>
                      {changed && (
                        <Box component="span" sx={{ color: role('cold'), ml: 1 }}>
                          {changed}
                        </Box>
                      )}
                    </Box>
                  }
                >
                  {massG > 0 ? amountText(line.itemId, massG, k, tables) : say('recipePage.byTaste')}
                </Row>
                {open === line.id && (
                  <LineFacts itemId={line.itemId} massG={massG} litres={madeL} kitchen={k} tables={tables} />
                )}
              </Box>
            );
          })
        ) : (
          <Typography>{say('recipePage.itDoesNotWork')}</Typography>
        )}
        {base && (
          <Box sx={{ mt: 1, color: role('inkMuted') }}>
            {sayRich('recipePage.aVariantOfWhat', {
              drink: <Link to={`/drinks/${base.id}`}>{sayDrink(base.id, base.name)}</Link>,
            })}
          </Box>
        )}
      </Panel>
      <Panel
        title={say('common.whatToDo')}
        aside={
          made &&
          say('recipePage.inAllOfYour', {
            end: duration(made.sim.endMin),
            handsOn: duration(timetableFrom(made.program, made.sim, 0).handsOnMin),
          })
        }
      >
        <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', mb: 1 }}>
          {recipe.methods.map((m) => (
            <Button
              key={m}
              size="small"
              variant={m === method ? 'contained' : 'outlined'}
              aria-pressed={m === method}
              onClick={() => setMethodId(m)}
            >
              {say(`method.${m}`)}
            </Button>
          ))}
        </Box>
        <Box sx={{ color: role('inkMuted'), mb: 1 }}>{say(`method.${method}.why`)}</Box>
        {made && (
          <Box component="ol" sx={{ m: 0, pl: 3, display: 'grid', gap: 0.5 }}>
            {steps.map(({ sentence, own }) => (
              <li key={sentence}>
                {sentence}
                {own && <Box sx={{ color: role('inkMuted') }}>{say('text.ownWords', { text: own })}</Box>}
              </li>
            ))}
          </Box>
        )}
      </Panel>
    </>
  );

  return (
    <>
      <PageHead title={name} beside={about}>
        <ThumbBar>
          <Button variant="contained" component={Link} to={`/new/${recipe.id}?method=${method}`}>
            {say('drinksPage.makeIt')}
          </Button>
        </ThumbBar>
        {recipe.methods.length > 1 && (
          <Button variant="outlined" component={Link} to={`/drinks/${recipe.id}/compare`}>
            {say('recipePage.compareMethods')}
          </Button>
        )}
        <Button
          variant="outlined"
          component={Link}
          to={mine ? `/drinks/${recipe.id}/edit` : `/drinks/${recipe.id}/vary`}
        >
          {mine ? say('recipePage.changeIt') : say('recipePage.varyIt')}
        </Button>
      </PageHead>
      {made ? (
        <RecipeFace recipe={recipe} made={made} kitchen={k} tables={tables}>
          {goesInAndDone}
        </RecipeFace>
      ) : (
        <Box sx={{ display: 'grid', gap: 1.75, mb: 1.75 }}>{goesInAndDone}</Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,1fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Panel title={say('common.whoIsToBe')} testId="who">
          <WhoAsksFirst tags={tags} />
          <Box sx={{ mt: 1 }}>
            <Guidance rows={guidanceAt('choose', tags)} />
          </Box>
          {recipe.folkUse && (
            <Box sx={{ mt: 1.5, color: role('inkMuted') }} data-testid="folk-use">
              {say('recipePage.whatPeopleSayOf', { folkUse: recipe.folkUse })}
            </Box>
          )}
        </Panel>
        <TextOut
          title={say('recipePage.takeItWithYou')}
          what={say('comparePage.theRecipe')}
          fileName={`${recipe.id}.txt`}
          text={text}
          sheet={
            made
              ? (place) => (
                  <RecipeSheet {...{ recipe, name, about, made, steps, tags, tables, place }} kitchen={k} />
                )
              : undefined
          }
        >
          {made && (
            <SaveAsJson
              fileName={recipe.id}
              said={{ basisL: recipe.basisL, lines: recipe.lines }}
              {...{ name, about, made, steps, tables }}
            />
          )}
        </TextOut>
        <Notebook recipe={recipe} book={book} />
        <Photos subject={{ of: 'recipe', ofId: recipe.id }} zone={kitchen.data?.kitchen.zone ?? 'UTC'} />
        {mine && (
          <Panel
            title={say('recipePage.versions')}
            aside={say('recipePage.nowVersion', { version: num(recipe.version) })}
          >
            <Button component={Link} to={`/drinks/capture?again=${recipe.id}`}>
              {say('capturePage.recordAgain')}
            </Button>
            {[...(versions.data?.versions ?? [])].reverse().map((v) => (
              <Row
                key={v.version}
                label={say('recipePage.version', { version: v.version })}
                note={fullDay(v.createdMs, kitchen.data?.kitchen.zone ?? 'UTC')}
              >
                {v.version === recipe.version
                  ? say('recipePage.inTheBook')
                  : say('recipePage.lines', {
                      count: v.recipe.lines.length,
                      basis: litres(v.recipe.basisL),
                    })}
              </Row>
            ))}
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
              {say('recipePage.batchesKeepTheVersion')}
            </Box>
            <Button
              color="error"
              sx={{ mt: 1 }}
              onClick={() => void takeOut().catch(() => notify('error', say('recipePage.itWasChangedIn')))}
            >
              {say('recipePage.takeItOutOf')}
            </Button>
          </Panel>
        )}
      </Box>
    </>
  );
}

/** How a line of a variant differs from the recipe it was made from. */
function differenceOf(base: Recipe, recipe: Recipe, lineId: string): string | null {
  const now = recipe.lines.find((l) => l.id === lineId);
  const before = base.lines.find((l) => l.id === lineId);
  if (!now) return null;
  if (!before) return say('recipePage.newLine');
  if (before.itemId !== now.itemId)
    return say('recipePage.insteadOf', { item: sayItem(before.itemId).toLowerCase() });
  const ratio = before.massG > 0 ? now.massG / recipe.basisL / (before.massG / base.basisL) : 1;
  return Math.abs(ratio - 1) > 0.01 ? `${ratio > 1 ? '+' : '−'}${num(Math.abs(ratio - 1) * 100)} %` : null;
}
