import '../../../words/places/batch.ts';
import { finishedL, tagsOfBatch } from '@big-ladle/core/program';
import Button from '@mui/material/Button';
import type { ComponentProps, ReactNode } from 'react';
import { Link } from 'react-router';
import { RecipeSheet } from '../../../shared/recipeSheet/RecipeSheet.tsx';
import { SaveAsJson } from '../../../shared/recipeSheet/SaveAsJson.tsx';
import { recipeText } from '../../../shared/recipeText/recipeText.ts';
import { stepSentences } from '../../../shared/recipeText/sentences.ts';
import type { StageId } from '../../../shared/StageLine.tsx';
import { TextOut } from '../../../shared/TextOut.tsx';
import { Panel } from '../../../shared/ui.tsx';
import { sayDrink } from '../../../words/names.ts';
import { fullDay, say } from '../../../words/say.ts';
import { BalancePanel } from '../panels/BalancePanel.tsx';
import { BottlesPanel } from '../panels/BottlesPanel.tsx';
import { DrawPanel } from '../panels/DrawPanel.tsx';
import type { PanelInput } from '../panels/input.ts';
import { KeepPanel } from '../panels/KeepPanel.tsx';
import { LedgerPanel } from '../panels/LedgerPanel.tsx';
import { ListNotes, ListPanel } from '../panels/ListPanel.tsx';
import { StrainPanel } from '../panels/StrainPanel.tsx';
import { WashPanel } from '../panels/WashPanel.tsx';
import { BottleForm } from '../stove/forms/BottleForm.tsx';
import { SetAside } from '../stove/forms/SetAside.tsx';
import { SweetenForm } from '../stove/forms/SweetenForm.tsx';
import type { LiveBatch } from '../useLiveBatch.ts';

/** A batch as it is shared: as it was really made, with its day. */
function asShared(live: LiveBatch, input: PanelInput) {
  const { program, sim, addedG, kitchen, tables, startMs } = input;
  return {
    recipe: live.recipe,
    name: sayDrink(program.recipeId, live.recipe.name),
    about: say('batchPage.madeOn', { day: fullDay(startMs, kitchen.zone) }),
    made: { program, sim, ...(addedG ? { addedG } : {}) },
    steps: stepSentences({ ...input, recipe: live.recipe }),
    tags: tagsOfBatch(program, sim.trace, tables),
    kitchen,
    tables,
  };
}

/** What the panels of a batch that is on or done are drawn from. */
export interface Made {
  live: LiveBatch;
  input: PanelInput;
  life: ComponentProps<typeof KeepPanel>['life'];
  /** So many bottles are filled. */
  filled: number;
}

/** The panel of each stage. */
const PANELS: Readonly<Record<StageId, (made: Made) => ReactNode>> = {
  size: ({ live, input }) => (
    <>
      <ListPanel {...input} title={say('batchPage.whatWentIn')} />
      <ListNotes {...input} />
      <LedgerPanel
        {...input}
        {...(live.now.log.endedMs === null ? { finishedWord: say('batchPage.expectedInBottles') } : {})}
      />
      <TextOut
        title={say('batchPage.inWords')}
        what={say('batchPage.theBatch')}
        fileName={`${live.batch.id}.txt`}
        text={recipeText({ ...input, recipe: live.recipe })}
        sheet={(place) => <RecipeSheet {...asShared(live, input)} place={place} />}
      >
        <SaveAsJson
          {...asShared(live, input)}
          fileName={live.batch.id}
          said={{ basisL: finishedL(input.sim), lines: input.program.lines }}
        />
      </TextOut>
    </>
  ),
  wash: ({ input }) => <WashPanel {...input} />,
  draw: ({ input }) => <DrawPanel {...input} />,
  strain: ({ live, input }) => (
    <>
      <StrainPanel {...input} />
      {!live.batch.rehearsal && isStrained(live) && (
        <Panel
          title={say('batchPage.leftInTheCloth')}
          aside={<Link to="/shelf?view=leftovers">{say('common.leftovers')}</Link>}
        >
          <SetAside live={live} />
        </Panel>
      )}
    </>
  ),
  balance: ({ live, input }) => (
    <BalancePanel {...input}>
      {live.step?.kind === 'sweeten' ? (
        <SweetenForm live={live} />
      ) : (
        <Button component={Link} to={`/batches/${live.batch.id}/balance`} variant="outlined">
          {say('batchPage.sweetSourAndStrong')}
        </Button>
      )}
    </BalancePanel>
  ),
  bottle: ({ live, input, filled }) =>
    live.step?.kind === 'bottle' ? (
      <Panel title={say('batchPage.bottle')}>
        <BottleForm live={live} />
      </Panel>
    ) : (
      <BottlesPanel {...input}>
        {filled > 0 && !live.batch.rehearsal && (
          <Button
            component={Link}
            to={`/shelf/labels?batch=${live.batch.id}`}
            variant="outlined"
            sx={{ mb: 1 }}
          >
            {say('common.labelsForThem')}
          </Button>
        )}
      </BottlesPanel>
    ),
  keep: ({ input, life }) => <KeepPanel {...input} life={life} />,
};

const isStrained = ({ program, now }: LiveBatch): boolean =>
  program.steps.some((s) => s.kind === 'strain' && now.log.steps[s.id]?.status === 'done');

/** The panel of the stage that is open. */
export const madePanel = (stage: StageId, made: Made): ReactNode => PANELS[stage](made);
