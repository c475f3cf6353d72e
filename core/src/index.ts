/** The one door to the core. Everything here is pure: time, seed and tables come in as arguments. */

// balance
export {
  type AddedPart,
  type BalanceAim,
  type BalanceAnswer,
  type BalanceBinding,
  type BalanceLimits,
  type BalanceWay,
  type BalanceWish,
  balanceAnswer,
  NO_LIMITS,
  type Suggestion,
  suggestAdditions,
} from './balance/additions.ts';
export { type Candidate, type CandidateKind, candidateOf, LESS_WATER } from './balance/candidates.ts';
export { audienceOf, cautionsOf } from './balance/cautions.ts';
export { type LikedPoint, type LikedRegion, likedRegion } from './balance/liked.ts';
export {
  type LotMark,
  marksOf,
  type ScaledTrial,
  scaleTrial,
  type TrialAddition,
} from './balance/lots.ts';
export { type PartNow, partsNow } from './balance/partsNow.ts';
export {
  type LegAmount,
  type Measured,
  type RatioLeg,
  ratioFrom,
  type TrueRatio,
  trueRatio,
} from './balance/ratio.ts';
export {
  type GlassFacts,
  glassDoseG,
  glassFacts,
  gramsToSweetness,
  HOT_C,
  overIce,
  type ServedFacts,
  type Serving,
  servedFacts,
  smallServings,
} from './balance/served.ts';
export {
  type Dose,
  dosesToCome,
  FIRST_SHARE,
  FIRST_SOUR_SHARE,
  nextDose,
  nextStated,
  nextSweetener,
} from './balance/stepPlan.ts';
export { type StrongShare, strongGPerL, strongShares } from './balance/strong.ts';
export {
  type FruitSweetening,
  type Keeps,
  type SourSwap,
  type SweetenerSwap,
  swappedInDrink,
  swapSour,
  swapSweetener,
  sweetenWithFruit,
} from './balance/swaps.ts';
export { type WayBack, waysBack } from './balance/waysBack.ts';
export { type CitrusMoment, citrusMoments } from './compare/citrusMoment.ts';
export { type Enough, enoughOf, inBottlesG } from './compare/enough.ts';
export { insteadOf, sameStrengthG } from './compare/forms.ts';
export { furtherHours, type StandingRow, standingSteps } from './compare/furtherHours.ts';
export { type GoesWith, goesWith } from './compare/goesWith.ts';
export { type HeldUnit, heldUnits } from './compare/held.ts';
export { toLayOut } from './compare/layOut.ts';
// comparing and counting
export {
  compareMethods,
  type DrawWorth,
  drawsOf,
  iceKgOf,
  type MethodAnswer,
  type MethodRow,
  mainMarker,
  methodRow,
  type StrengthPoint,
} from './compare/methods.ts';
export { type MissingTool, missingTools } from './compare/missingTools.ts';
export { type DrinkOverview, familiesOf, overviewOf } from './compare/overview.ts';
export {
  type AskedWarning,
  amountWarning,
  measuredLossWarning,
  type PlausibilityWarning,
  recipeWarnings,
} from './compare/plausibility.ts';
export { type ShoppingList, type ShoppingRow, shoppingList, wholeFruit } from './compare/shopping.ts';
export { type Clarity, type StrainingFacts, strainings } from './compare/straining.ts';
export { bowlsOf, type ToolCounts, toolCounts } from './compare/toolCounts.ts';
export { rinsesAsked, washRoutines } from './compare/washing.ts';
// the contract between windows and server
export {
  ARCHIVE_FORMAT,
  ARCHIVE_SECTIONS,
  ARCHIVE_V,
  type ArchiveRow,
  type ArchiveSectionName,
  archiveEndSchema,
  archiveHeadSchema,
  archiveV1Schema,
  outsideToday,
  sectionHeadSchema,
  TOLD_SECTIONS,
} from './contract/archive.ts';
export type {
  Access,
  ArchiveCounts,
  BackupFile,
  BackupKind,
  BackupState,
  Batch,
  BatchAtAGlance,
  BatchDoc,
  BatchList,
  BatchListEntry,
  BatchNames,
  BatchStatus,
  Device,
  DocChange,
  EventsStored,
  GiftBatch,
  GoneItems,
  ImportMode,
  ImportReport,
  ImportState,
  Instrument,
  KitchenDoc,
  Pins,
  RecipeVersion,
  Rehearsal,
  ShelfItem,
  ShelfLeftover,
  ShelfThing,
  StoredItem,
  TimeMessage,
  Use,
} from './contract/messages.ts';
export {
  BACKUP_KINDS,
  BATCH_STATUSES,
  batchSchema,
  docChangeSchema,
  type ReadingsMessage,
  readingsSchema,
  timeSchema,
} from './contract/messages.ts';
export {
  FINAL_PROBLEMS,
  type FieldProblem,
  PROBLEM_TYPE,
  PROBLEMS,
  type Problem,
  type ProblemCode,
} from './contract/problems.ts';
export {
  type AnswerOf,
  type AnyRoute,
  addressOf,
  type BodyOf,
  type ParamsOf,
  type PathOf,
  type QueryOf,
  type Route,
  type Sent,
} from './contract/route.ts';
export { ROUTES } from './contract/routes.ts';
export type { CustomFacts } from './documents/ingredient.ts';
export { customFactsSchema, OWN_KINDS, type OwnKind } from './documents/ingredient.ts';
// program
export {
  type AwayHours,
  type BottleSize,
  type Burner,
  bottleSchema,
  burnerSchema,
  DATE_ORDERS,
  type DateOrder,
  EMPTY_KITCHEN,
  FIRST_DAYS,
  type FirstDay,
  type House,
  type Kitchen,
  type KitchenTools,
  kitchenSchema,
  MESSAGE_KINDS,
  type MessageKind,
  type MessageTo,
  type OwnRule,
  type Pot,
  placeSchema,
  potSchema,
  type ShelfPlace,
  USUAL_PLACES,
  usualPlace,
} from './documents/kitchen.ts';
export { LOT_KINDS, type LotKind } from './documents/lot.ts';
export { isTooFarAhead, PLAN_AHEAD_MS, type PlanDoc, planSchema, questionSchema } from './documents/plan.ts';
export {
  type Choices,
  choicesSchema,
  type FamilyId,
  HEATS_TO,
  type HeatId,
  HYGIENES,
  type Instead,
  JUICE_TOOLS,
  type LineKind,
  METHOD_IDS,
  type MethodId,
  OWN_STEP_KINDS,
  type OwnRecipe,
  type OwnStepKind,
  type PlannedWay,
  type Recipe,
  type RecipeLine,
  type RecipeLot,
  type RecipePart,
  type RecipeStep,
  type RecipeTimes,
  type RootChoice,
  recipeSchema,
  type ScaleRule,
  SIEVES,
  STREAMS,
  type StoredChoices,
  type Stream,
  type StrengthId,
  type Wash,
} from './documents/recipe.ts';
export type { StockRow } from './documents/stock.ts';
// exchange
export {
  type CaptureAnswers,
  type CaptureEntry,
  type CaptureProblem,
  captureToRecipe,
  UNSEEN,
  type Unseen,
  type UnseenKind,
  unseenKey,
  unseenOf,
} from './exchange/capture.ts';
export { type ItemFacts, type ItemKind, itemFacts } from './exchange/items.ts';
export { exchangeName } from './exchange/names.ts';
export { measureToWeigh } from './exchange/reading/amounts.ts';
export { familyOfItem } from './exchange/reading/forms.ts';
export { type Fixes, type LineFix, lineAs, mended, NO_FIXES, type StepFix } from './exchange/reading/mend.ts';
export { LONGEST_TEXT, readText } from './exchange/reading/read.ts';
export { type Missing, type ReadRecipe, recipeOfRead } from './exchange/reading/toRecipe.ts';
export type {
  Check,
  Doubt,
  Mark,
  MarkedSpan,
  ReadAmount,
  ReadDrink,
  ReadingKit,
  ReadLine,
  ReadStep,
  TextReading,
} from './exchange/reading/types.ts';
export {
  isoLength,
  type LdProblem,
  type LdRead,
  type LdWords,
  type RecipeLd,
  readRecipeLd,
  toRecipeLd,
} from './exchange/schemaOrg.ts';
export {
  type CookInput,
  cookNext,
  hiddenFactors,
  REHEARSAL_SPEEDS,
  type RehearsalClock,
  type RehearsalSpeed,
  rehearsalNow,
} from './instruments/rehearsal.ts';
export {
  FAILING_KINDS,
  type Failing,
  fridgeAirC,
  type InstrumentReading,
  isLost,
  type ReadingFault,
  simulatedReading,
  type Truth,
  type TruthAt,
} from './instruments/simulated.ts';
export { type BatchTruth, simulateTruth } from './instruments/truth.ts';
// jobs
export {
  type Job,
  type JobBook,
  JobCancelled,
  type JobControl,
  type JobResult,
  runJob,
  type SolvedJob,
} from './jobs/run.ts';
export {
  bottleOf,
  expectedLife,
  type Filling,
  fillingOf,
  hotTogether,
  plannedLife,
} from './keeping/bottled.ts';
export { checkKindOf, meaningOf, nextLookMs, signsFor } from './keeping/check.ts';
export { claimsOf } from './keeping/claims.ts';
export { containerCautions, containerUses } from './keeping/containers.ts';
export {
  endOfDay,
  endOfTomorrow,
  isoKeepDate,
  type KeepDate,
  keepDate,
  lastWholeDay,
  notBefore,
  startOfToday,
} from './keeping/date.ts';
export { type BottleFacts, coldAfterMs, lifeRate, SERVE_C } from './keeping/integrate.ts';
export type { BottleItem, LeftoverItem } from './keeping/items.ts';
export {
  boiledLinesOf,
  companionsOf,
  type LeftoverFacts,
  type LeftoverLife,
  leftoverKindOf,
  leftoverLife,
  leftoverRow,
  portionStrength,
  type Residue,
  residueOf,
  screenOf,
  setAsideGuidance,
  usesOf,
} from './keeping/leftovers.ts';
export { wouldKeepLonger } from './keeping/lifeExtensions.ts';
export { type WarmLimit, warmLimitOf } from './keeping/limits.ts';
export { keepingOfMix, withPoured } from './keeping/mix.ts';
export {
  giftReminder,
  type Message,
  messagesOf,
  morningFrom,
  morningOf,
  pressureAlarm,
  type Reminded,
  type Reminder,
  remindersOf,
  THAWED_DAYS,
} from './keeping/reminders.ts';
export { type PlanRisk, planRisk, type SafeWay, safeWays } from './keeping/risk.ts';
// keeping
export {
  type AcidEvidence,
  acidEvidence,
  type Keeping,
  type KeepingInput,
  keepingOf,
} from './keeping/shelfLife.ts';
export { type Footprint, hasSpace, makeSpace, type Space, type Standee, spaceIn } from './keeping/space.ts';
export {
  type BottleLife,
  type LifeAsk,
  type LifePoint,
  lifeCurve,
  lifeOf,
  spellCostMin,
} from './keeping/spoilage.ts';
export {
  climateAt,
  type StorageClimate,
  type Surroundings,
  surroundingsOf,
} from './keeping/storageClimate.ts';
export {
  CELL_MS,
  type FridgeRecord,
  recordOf,
  type TemperatureSeries,
  temperatureSeriesOf,
  trackAt,
  type WarmSpell,
  warmSpells,
} from './keeping/temperatureSeries.ts';
export { type RateOfUse, rateOfUse, USE_WINDOW_DAYS } from './keeping/use.ts';
export {
  COLOUR_ROWS,
  colourOf,
  GLASS_PATH_CM,
  luminanceOf,
  redShareAtPh,
  SPOON_PATH_CM,
} from './liquor/colour.ts';
// liquor
export { colourName } from './liquor/colourName.ts';
export {
  abvPct,
  brix,
  CONSERVED,
  type Composition,
  EMPTY,
  kcalOf,
  markerGPerL,
  massG,
  minus,
  ofLiquid,
  ofSweetener,
  plus,
  scaled,
  solublesG,
  sourGPerLOf,
  sournessGPerL,
  specificGravity,
  sweetnessPct,
  titratableGPerL,
  volumeMl,
  WATER_20_G_PER_ML,
  water,
  withBrix,
  withWaterFor,
} from './liquor/composition.ts';
export { estimatePh, type PhEstimate, phOf, withPh } from './liquor/ph.ts';
export { coldVolume, expansion, saturationKPa, waterDensityGPerMl } from './liquor/water.ts';
// log
export { tastedAt } from './log/asTasted.ts';
export {
  type BatchNow,
  type BatchSoFar,
  batchAt,
  entryProblem,
  isEntryProblem,
  itemsOf,
  type StepClock,
  whatIf,
} from './log/batchAt.ts';
export type { BatchLog, Bottled, ClockSubject, Gifts, Lot, SideClock, StepTimes } from './log/batchLog.ts';
export { nextStraining } from './log/effectiveProgram.ts';
export { readingSchema } from './log/events/bodies.ts';
export {
  activeEvents,
  inLogOrder,
  lastUndoable,
  saidTogether,
  shownEvents,
} from './log/events/order.ts';
export type { StreamKind, Touched } from './log/events/row.ts';
export { readStored } from './log/events/stored.ts';
export {
  EVENT_KINDS,
  EVENTS,
  type EventBody,
  type EventKind,
  type EventOf,
  eventSchema,
  type LogEvent,
  mayStandIn,
  touchedBy,
} from './log/events/table.ts';
export { effectiveProgram, foldBatch } from './log/foldBatch.ts';
export { FIRST_PLACE, foldItem, freshItem, type ItemLog, isGone, itemAfter } from './log/foldItem.ts';
export { type BatchToRead, readBatch, type Unreadable } from './log/readBatch.ts';
export { type BoilInput, type BoilRate, boilOff } from './physics/boilOff.ts';
export { arrhenius, drawnAfter, redLeft } from './physics/extraction.ts';
export {
  boilingPointC,
  bottleLossWPerK,
  heatCapacityJPerK,
  lossWPerK,
  type PathEnd,
  type Place,
  type Stretch,
  type ThermalSetting,
  temperaturePath,
} from './physics/heat.ts';
export { fruitForJuice, fruitToCome, juicePerKg } from './physics/juice.ts';
export { coverWaterMl, foamOf, hotFillMl, type Room, roomIn, solidVolumeMl } from './physics/room.ts';
export { POT_UNITS, type PotUnit, potLitres, usualShape } from './physics/usualPot.ts';
// physics
export { areaM2, bowlDiameterM, capacityMl, levelM, mlAtLevel, type Shape } from './physics/vesselShape.ts';
export { findAlternatives, type WayOut } from './plan/alternatives.ts';
export { besideWays, standsIn, withBeside, withoutClash } from './plan/beside.ts';
export {
  type BottlePlan,
  bottledMl,
  bottlePlan,
  bottlesFor,
  type FilledBottle,
  fillBottles,
  fillingOrder,
  fillMl,
  jugOf,
  portionTubs,
  suggestBottles,
} from './plan/bottles.ts';
export {
  COOLING_WAYS,
  type CoolingInput,
  type CoolingWay,
  type CoolingWayId,
  coolingWays,
} from './plan/cooling.ts';
export { firstStart, liesOnTwoDays } from './plan/firstStart.ts';
export {
  type IdleJob,
  idleJobs,
  type JobOfWait,
  type PlacedJob,
  placeJobs,
  type Wait,
} from './plan/idleJobs.ts';
export {
  type Lane,
  type LaneMove,
  type LaneSpan,
  type LaneState,
  type LaneStep,
  type Lanes,
  lanesOf,
} from './plan/lanes.ts';
export { type OpeningPlan, openingPlan } from './plan/openingPlan.ts';
export { type PlanProblem, solvePlanDoc } from './plan/planDoc.ts';
export type { PlanStart } from './plan/planStart.ts';
export {
  drawRuns,
  joinSamples,
  type RangeOptions,
  type RangeSamples,
  type Ranges,
  type Span,
  spansOf,
} from './plan/ranges.ts';
// plan
export { lineMassG, scaleForMass } from './plan/scaling.ts';
export {
  type AwayWindow,
  awayWindows,
  earliestReady,
  latestStart,
  longestStep,
  type Placed,
  type Schedule,
  scheduleFrom,
  type Timeline,
  timelineOf,
} from './plan/schedule.ts';
export { type SecondBoil, secondBoil } from './plan/secondBoil.ts';
export {
  type Limit,
  type Question,
  SOLVER,
  type Solution,
  type SolveInput,
  type SolveProblem,
  solvePlan,
  usableLines,
  type Wish,
} from './plan/solve.ts';
export { type AttendedInterval, startBy, type Timetable, timetableFrom } from './plan/startBy.ts';
export { BOOK, recipeById } from './program/book/book.ts';
export { checkRecipe, type RecipeProblem } from './program/book/checkRecipe.ts';
export { handlesOnly, putLine, takeLineOut } from './program/book/lineMoves.ts';
export { expand, METHODS, type Method, type MethodChoice } from './program/book/methods/methods.ts';
export { type Presets, presetsOf, varyingLines } from './program/book/presets.ts';
export {
  choicesUnder,
  completeChoices,
  defaultChoices,
  HEATS,
  insteadWith,
  STRENGTHS,
  USUAL_TIMES,
  withInstead,
  withWay,
} from './program/book/recipe.ts';
export { STEP_TABLE, type StepField, saysOf } from './program/book/stepTable.ts';
export { buildProgram } from './program/compile/build.ts';
export {
  juiceToolOf,
  measuringKit,
  potCapacityMl,
  potMassG,
  potShape,
  powerIntoPotW,
  withServing,
} from './program/model/kitchen.ts';
export { shareOfLoad, standsSideBySide } from './program/model/loads.ts';
export { type LotName, lotBottles, lotOf, lotOfVessel, lotVessel } from './program/model/lots.ts';
export {
  customRow,
  ownLiquidRow,
  ownRows,
  ownSweetenerRow,
  withCustom,
} from './program/model/ownIngredient.ts';
export { sweetWeights } from './program/model/sweetShares.ts';
export {
  isWater,
  saysAlcohol,
  tagsOf,
  tagsOfBatch,
  traitsOf,
  waterPouredG,
} from './program/model/tags.ts';
export {
  type SweetTaste,
  type Taste,
  type TasteWish,
  targetAfterTastes,
  wishAfterTastes,
} from './program/model/taste.ts';
export type {
  Adjustment,
  Attention,
  BoilStep,
  BottleStep,
  CombineStep,
  CoolingTally,
  CoolStep,
  Cue,
  CurvePoint,
  Duration,
  EffectiveProgram,
  Flow,
  FlowCode,
  HeatStep,
  LineId,
  Liquor,
  MixStep,
  Origin,
  PickStep,
  PlannedProgram,
  PrepStep,
  Program,
  ProgramLine,
  Reading,
  Simulation,
  SimulationOptions,
  SoakStep,
  Solid,
  SteepStep,
  Step,
  StepActual,
  StepId,
  StepKind,
  StepProblem,
  StrainStep,
  SweetenStep,
  TraceEntry,
  Until,
  UntilDown,
  UntilTemp,
  Vessel,
  VesselId,
  VesselKind,
  VesselNow,
  VesselSpec,
  WashStep,
} from './program/model/types.ts';
export {
  BLENDER,
  BOTTLES,
  BOWL,
  isPot,
  JUG,
  jarOf,
  KETTLE,
  POT,
  partOfJar,
  potAt,
  SPENT,
  SPICE_POT,
  TUB,
} from './program/model/vessels.ts';
export { fillingsOf, finishedL, finishedLiquor, largestFilling } from './program/simulate/finished.ts';
export {
  cuesFor,
  draws,
  drawsStanding,
  type Guidance,
  guidanceAt,
  guidanceFor,
  heatManner,
} from './program/simulate/guidance.ts';
export { type Ledger, type LedgerRow, ledgerOf } from './program/simulate/ledger.ts';
export { simulateBatch, vesselNow, vesselOfStep } from './program/simulate/simulate.ts';
export { NO_FACTORS } from './program/simulate/state.ts';
export { ALCOHOL_UNIT_ROWS, type AlcoholUnitRow } from './tables/alcoholUnits.ts';
export { ALIAS_ROWS, type AliasRow, type Found, findByName } from './tables/aliases.ts';
export { AUDIENCES, type Audience, CAUTION_ROWS, type CautionRow } from './tables/audience.ts';
export { CHECK_KINDS, type CheckKind, SIGN_ROWS, SIGNS, type Sign } from './tables/checks.ts';
export {
  FIRST_LABEL_ID,
  FIRST_SOUR_ID,
  FIRST_SPIRIT_ID,
  FIRST_WEIGHED_ID,
  GLASS_SWEETENER_ID,
  MIXER_IDS,
  PARTS_AT_FIRST,
  SOURING_IDS,
  SWEET_FRUIT_IDS,
  TAP_WATER_ID,
} from './tables/choices.ts';
export { CLAIM_ROWS, type ClaimRow } from './tables/claims.ts';
export { COLOUR_NAME_ROWS } from './tables/colourNames.ts';
export {
  BOIL_LEVEL_IDS,
  BOIL_LEVELS,
  type BoilLevel,
  BRIM_SHARE,
  type BurnerKind,
  burnerEfficiency,
  CLOTH_LOSS_ML,
  DAILY_FREE_SUGAR_G,
  FLOAT_ML_PER_G,
  FOAM_SHARE,
  FUSION_J_PER_G,
  GAS_CONSTANT,
  HEAT_CAPACITY_J,
  ICE_IN_GLASS_G,
  ICE_MELTED_SHARE,
  type IceInGlass,
  iceShare,
  LATENT_J_PER_G,
  LEAST_BOIL_FLUX,
  LID_HEAT,
  LID_STEAM,
  LIDS,
  type Lid,
  POT_MATERIALS,
  type PotMaterial,
  RED_FADE,
  RINSE_CARRIED_ML_PER_G,
  STEEL_HEAT_SHARE,
  STRAIN_LOSS_ML,
} from './tables/constants.ts';
export {
  CLOSURES,
  type Closure,
  CONTAINER_CAUTION_ROWS,
  CONTAINER_FORMS,
  CONTAINER_MATERIALS,
  type ContainerForm,
  type ContainerMaterial,
  type ContainerUse,
  HEADSPACE,
} from './tables/containers.ts';
export { CUT_ROWS, type CutCode, isCut } from './tables/cuts.ts';
export { FAMILY_ROWS, type FamilyRow } from './tables/families.ts';
export { FRUIT_ROWS } from './tables/fruits.ts';
export { GUIDANCE_ROWS } from './tables/guidance/rows.ts';
export type {
  GuidanceKind,
  Severity,
} from './tables/guidance/types.ts';
export { SHIPPED_TABLES } from './tables/index.ts';
export {
  INSTRUMENT_KINDS,
  INSTRUMENT_ROWS,
  type InstrumentKind,
  type InstrumentRow,
} from './tables/instruments.ts';
export {
  BASE_ROWS,
  KEEPING,
  type KeepClass,
  type KeepDays,
  LIMIT_ROWS,
  PRESERVING_ROWS,
} from './tables/keeping.ts';
export {
  SHOP_ROWS,
  SUBSTITUTE_ROWS,
  type SubstituteRow,
  TOOL_ROWS,
  type ToolRow,
  USUAL_ROWS,
} from './tables/kitchenFacts.ts';
export { type Label, withLabels } from './tables/labels.ts';
export {
  LEFTOVER_KINDS,
  LEFTOVER_ROWS,
  type LeftoverKind,
  type LeftoverUse,
  SCREEN_CODES,
  type ScreenCode,
} from './tables/leftovers.ts';
export { PAIR_ROWS, type PairRow } from './tables/pairs.ts';
export {
  joinedRows,
  type PinnedRows,
  pinnedTables,
  pinRows,
  rowsFor,
  type TablePins,
} from './tables/pinned.ts';
export { PLACE_KIND_ROWS, PLACE_KINDS, type PlaceKind, placeKindRow } from './tables/places.ts';
export { RIPENESS_ROWS, UNTREATED_WATER, WATER_CUES } from './tables/ripeness.ts';
export { SPREAD_ROWS, type SpreadId, type SpreadRow } from './tables/spreads.ts';
export {
  DISSOLVES_FROM_C,
  factsOfSweetener,
  SWEETENER_FACTS,
  type SweetenerFacts,
} from './tables/sweetenerFacts.ts';
export {
  ASKED_TRAITS,
  type AskedTrait,
  type Tag,
  type TraitAnswers,
} from './tables/traits.ts';
// tables
export type {
  Confidence,
  FoamClass,
  IngredientRow,
  LiquidRow,
  MarkerId,
  Press,
  SweetenerRow,
  Tables,
} from './tables/types.ts';
export { PRESSES } from './tables/types.ts';
export { VIGOUR_IDS, VIGOUR_ROWS, type VigourId } from './tables/vigours.ts';
export { type Bath, bathCue } from './tables/washing.ts';
export { id as idSchema } from './units/fields.ts';
export {
  asHandMeasures,
  type CupWeight,
  cupWeightSchema,
  type Fraction,
  gramsOf,
  gramsPerMeasure,
  type HandAmount,
  handFraction,
  type KitchenMeasure,
  type Measurable,
  type MeasuringKit,
  measureSchema,
  measureVolumeMl,
} from './units/measures.ts';
// units
export { fail, ok, type Result, type Said, said, unwrap } from './units/result.ts';
export { DAY_MS, HOUR_MS, MINUTE_MS } from './units/time.ts';
export {
  celsiusOf,
  convert,
  fahrenheitOf,
  UNIT_ROWS,
  type UnitRow,
  type UnitSystem,
  unitOf,
} from './units/units.ts';
