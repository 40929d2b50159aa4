export type { MadeBlank } from './blank/contract.js';
export { BLANKS, type BlankKind, type BlankMaking, makeBlank } from './blank/registry.js';
export type { Check } from './check/check.js';
export { type LayerMargin, layerMargins, marginSaid } from './check/layerMargins.js';
export { ringsSaid } from './check/said.js';
export { boardsCsv } from './exchange/boardsCsv.js';
export { type CalendarEvent, calendarFile } from './exchange/calendarFile.js';
export { cutListCsv } from './exchange/cutListCsv.js';
export { type DrawingFormat, drawingFile, type FlatDrawing } from './exchange/drawing.js';
export { fullSizeDrawing } from './exchange/fullSizeDrawing.js';
export { inlayDrawing } from './exchange/inlayDrawing.js';
export { layoutDrawing } from './exchange/layoutDrawing.js';
export { glyphFromLoops, inlayFile, readOutline } from './exchange/outlineFile.js';
export { passportPage, type Turning } from './exchange/passportPage.js';
export {
  type Pattern,
  patternSchema,
  readPatternFile,
  writePatternFile,
} from './exchange/patternFile.js';
export { PLAN_VERSION, planFile } from './exchange/planFile.js';
export {
  PROFILE_FORMATS,
  type ProfileFormat,
  readProfile,
  writeProfile,
} from './exchange/profile/formats.js';
export {
  type CarriedPicture,
  MOST_BYTES,
  MOST_FILE_BYTES,
  type ProjectFile,
  readProjectFile,
  writeProjectFile,
} from './exchange/projectFile.js';
export { readBoardsCsv } from './exchange/readBoardsCsv.js';
export { ringDrawing } from './exchange/ringDrawing.js';
export { segmentDrawing } from './exchange/segmentDrawing.js';
export { accountCsv, buyingCsv, layoutCsv, ringsCsv, ripsCsv, setupsCsv } from './exchange/tablesCsv.js';
export { templateSvg } from './exchange/templateSvg.js';
export { profileDrawing, segmentTemplates } from './exchange/templates.js';
export { PAPERS, type Paper, wallPages, wallSvg } from './exchange/wallSvg.js';
export {
  ALL_ROWS,
  choicesIn,
  foundIn,
  type Stored,
  type WorkbookAsked,
  type WorkbookRow,
  workbookCsv,
  workbookOf,
  workbookTotals,
} from './exchange/workbook.js';
export type { Fit } from './form/corridor.js';
export { type Curve, type CurvePoint, curveThrough, extremes, radiusAt, topOf } from './form/curve.js';
export { FORM_KINDS, type FormKind, formKindOf } from './form/kind.js';
export { landmarksOf } from './form/landmarks.js';
export type { Form, FormPoint, Inside, Lid, Recess, WallAt } from './form/shape.js';
export { STARTING_SHAPES, startingForm } from './form/starting.js';
export { brimOf, insideAt, type Vessel, vesselOf, wallAt } from './form/vessel.js';
export { frontMarks } from './inlay/front.js';
export { copiesOf, type InlayLies, placeInlay } from './inlay/placed.js';
export { type Inlay, MOST_INLAYS, type Outline } from './inlay/schema.js';
export { inlayCuts } from './inlay/section.js';
export { type AccountRow, accountRows, type WoodShare, woodShares } from './lumber/accountRows.js';
export {
  type Board,
  boardSchema,
  chargedFeet,
  DEFECTS,
  type Defect,
  type NewBoard,
  newBoardSchema,
  replaceBoardsSchema,
  surfacedThickness,
} from './lumber/board.js';
export { fencesFor } from './lumber/fences.js';
export { type GlueUpRow, glueUpRows } from './lumber/glueUps.js';
export { accountsOf, type WoodAccount } from './lumber/layout/account.js';
export { areasOf, type BoardAreas } from './lumber/layout/areas.js';
export { laidAtOnce } from './lumber/layout/atOnce.js';
export { type BoardPart, boardCuts, boardParts, crosscutMarks } from './lumber/layout/boardCuts.js';
export { type Buying, buyingOf, byFeetAlone } from './lumber/layout/buying.js';
export { type Demand, demandsOf, type FoundWay, GOALS, type Goal, triedOf } from './lumber/layout/demand.js';
export { canBeSawn, type Given, givenOf, givenSchema, placedGiven } from './lumber/layout/given.js';
export { atOnce, greedy } from './lumber/layout/greedy.js';
export { howMany } from './lumber/layout/howMany.js';
export {
  type Fence,
  type LaidContent,
  laidContents,
  type NumberedBoard,
  numberedBoards,
  type RipRow,
  ripList,
  sayLaid,
  whoseSaid,
} from './lumber/layout/laidRows.js';
export { type LaidSoFar, laidOut, layingOut } from './lumber/layout/layingOut.js';
export { drawnPieces } from './lumber/layout/outlines.js';
export { type LaidBoard, type LaidStrip, placed, type WoodLayout } from './lumber/layout/placed.js';
export { type Answer, costOf } from './lumber/layout/problem.js';
export { type HighsLike, solverOf } from './lumber/layout/program.js';
export type { Progress } from './lumber/layout/solve.js';
export type { WoodLedger } from './lumber/ledger.js';
export type { Lumber, StripEntry, WoodNeed } from './lumber/lumber.js';
export { type PieceRow, pieceRows, sizesOf } from './lumber/pieceRows.js';
export { QUARTERS, type Quarter, quarterFor } from './lumber/quarters.js';
export type { RingPlan } from './lumber/ringPlan.js';
export {
  changesSaved,
  type Setup,
  type Stop,
  type StopWood,
  setupSteps,
  setupsOf,
  stopsTogether,
} from './lumber/setups.js';
export { afterCutting, splitBoard } from './lumber/splitBoard.js';
export { CUTTING_SAID } from './lumber/strips.js';
export { lumberTimes } from './lumber/times.js';
export { type WaitingBoard, waitingBoards } from './lumber/waiting.js';
export type { BoardRows, Made, PieceKind } from './making/contract.js';
export { slicesOf } from './making/disc/apartTold.js';
export { discSourceBegun } from './making/disc/sources.js';
export { FIGURE_NAMES, type Figure, type FigureKey } from './making/figures.js';
export { partsFromDegrees } from './making/flat/parts.js';
export { ILLUSIONS, type IllusionName } from './making/illusion/illusion.js';
export { betweenBegun, GAPS_BEGUN } from './making/joints/begun.js';
export { type Between, spacersIn } from './making/joints/between.js';
export { misfit, ovalOf } from './making/joints/closing.js';
export type { Gap } from './making/joints/gaps.js';
export { LEAN_BEGUN, type Leaning } from './making/joints/lean.js';
export { divisors, type Spacers, thicknessesOf } from './making/joints/spacers.js';
export { biggestOf, layOut, placeName } from './making/layOut.js';
export type { StepPicture } from './making/picture.js';
export {
  boardsOf,
  bodyOf,
  calledOf,
  groupsOf,
  isStrict,
  makeRing,
  type ParamsOf,
  pitchOf,
  placesOf,
  type RingMaking,
  START_IDS,
  STARTS,
  type StartId,
  segmentsOf,
  startOf,
  usuallySanded,
  type Way,
} from './making/registry.js';
export type { After } from './making/segmented/after.js';
export { canWeave } from './making/segmented/goes.js';
export type { SegmentedParams } from './making/segmented/params.js';
export { sourceBegun } from './making/segmented/starts.js';
export type { SawnFrom } from './making/sources/registry.js';
export { compoundAngles } from './making/staves/staves.js';
export { cautionsOf, type Step, setOf, TOOLS, type Tool } from './making/step.js';
export { isRound, mitred, type Stock } from './making/stock.js';
export { turnOf } from './making/turnOf.js';
export {
  editableLength,
  formatAngle,
  formatArea,
  formatExact,
  formatLength,
  formatStop,
  gapUnits,
  INCH,
  POUND,
  trimZeros,
  UNIT_SYSTEMS,
  type UnitSystem,
} from './measure/format.js';
export { parseLength, readNumber } from './measure/parse.js';
export { degrees, type Mm, mm, type Rad, rad } from './measure/quantity.js';
export { done, type Reason, type Result, refuse, refused } from './measure/reason.js';
export type { ReasonCode } from './measure/reasonCodes.js';
export {
  type Purpose,
  plain,
  type Quantity,
  quantitiesOf,
  type Said,
  say,
  sayAll,
  sayList,
  sayMm,
  sayRad,
  sentenceIn,
  shownIn,
  type Unit,
} from './measure/said.js';
export { parseTurn, segmentsSaid, type Turn, turnSaid } from './measure/turn.js';
export { boardFeet, imperialPints, litres, usPints } from './measure/volume.js';
export {
  type Block,
  cutOut,
  layBlock,
  mirroredBlock,
} from './pattern/block.js';
export { lettersAsBlock, pixelsOf } from './pattern/lettering.js';
export type { Motif, MotifNumber } from './pattern/motif.js';
export { MOTIFS, motifOf } from './pattern/motifs/registry.js';
export {
  begunFor,
  begunMotif,
  countsNear,
  dividesInto,
  type MotifUse,
  repeatsNear,
} from './pattern/motifUse.js';
export { type Ink, pictureInWoods } from './pattern/picture.js';
export { setInPixels } from './pattern/pixelFace.js';
export type { Raster } from './pattern/raster.js';
export { column, diagonal, patch, repeated, type Spot, type Wall } from './pattern/reach.js';
export { stretchAt } from './pattern/showing.js';
export { keyOfTone, TONES, type Tone, type ToneName, toneNames } from './pattern/tones.js';
export { ageingChecks, finishedPalette, MOVING_NAMES } from './project/ageingChecks.js';
export { type AtTheLathe, atTheLathe } from './project/atTheLathe.js';
export type { PlannedBlank } from './project/blanks.js';
export { changesBetween } from './project/changes.js';
export { type Clip, clipOf, readClip } from './project/clip.js';
export { type ColourNote, colourNotes, darkestOf, fillerMm3 } from './project/colourNotes.js';
export { type Change, type Command, run } from './project/commands/command.js';
export * as edit from './project/commands/edits.js';
export type { Stroke } from './project/commands/paintCommands.js';
export type { RowChange } from './project/commands/rowCommands.js';
export { liftOfBands, USUAL_SEGMENTS } from './project/commands/stack.js';
export type { StashedRing } from './project/commands/stashCommands.js';
export { type Keeps, ringHeightsOf } from './project/commands/substituteCommands.js';
export { projectedSections } from './project/commands/twistCommands.js';
export { AGES, type TouchingPair, touchingPairs, weakShare } from './project/contrast.js';
export { copyOf, fromStash } from './project/copy.js';
export { elevationPicture, flatPicture, type SmallPicture } from './project/elevation.js';
export {
  type Edited,
  type History,
  historySchema,
  NO_HISTORY,
  recorded,
  redone,
  undone,
} from './project/history.js';
export { readProject } from './project/inspect.js';
export { judged } from './project/judged.js';
export { LEAST_LEARNT, type Learnt, learntFrom } from './project/learnt.js';
export { meshesOf, type StackMesh } from './project/meshes.js';
export { mirrorImage } from './project/mirror.js';
export { workOf, workPlanned } from './project/ordered.js';
export { type Plan, plan } from './project/plan.js';
export {
  dress,
  type Prepared,
  type PreparedRing,
  prepare,
  type Stacking,
  stackUp,
} from './project/prepare.js';
export { asBuilt, toBuild } from './project/rehearsal.js';
export { AS_DRAWN, type Ripping, rippingOf } from './project/ripping.js';
export {
  type PaletteEntry,
  type Project,
  type Ring,
  SCHEMA_VERSION,
  type Underlay,
} from './project/schema.js';
export { reasonsOf } from './project/sentences.js';
export { sameRingShapes, sameSlantShapes } from './project/shape.js';
export {
  type Drawn,
  drawnOf,
  drawnOwner,
  type MetPlace,
  placeOnWall,
  sampledCuts,
  sampledRings,
  shownOn,
} from './project/standing.js';
export { type Beginning, startProject } from './project/start.js';
export { type RingSize, startFromRings } from './project/startFromRings.js';
export { type StashEntry, stashedRingSchema, stashTaken, stashUsedBy } from './project/stash.js';
export { broughtTogether, type Prevails, type Together } from './project/together.js';
export { type Trial, trialsFor } from './project/trials.js';
export { turnedBalance } from './project/turnedBalance.js';
export { keptUpToDate, upgradedSteps } from './project/upgrade.js';
export { cellAspect, trueTurns, wallOf } from './project/wall.js';
export { MOST_AT_ONCE, madeAgain, manyOf, type Once } from './record/again.js';
export { happenedBetween } from './record/happened.js';
export { type Hours, hoursIn, hoursTold, spanSaid } from './record/hours.js';
export { entrySaid, type JournalDay, type JournalLine, journalOf, journalText } from './record/journal.js';
export {
  type HandEntry,
  type Happened,
  handEntrySchema,
  type JournalEntry,
  journalEntrySchema,
  MOST_ENTRIES,
  type Written,
} from './record/journalEntry.js';
export { type Passport, passportOf, passportRows, passportText } from './record/passport.js';
export { WORK_KINDS, type WorkKind, workKindOf } from './record/workKind.js';
export { type Bond, bondOf } from './ring/bond.js';
export type { RingNeed } from './ring/need.js';
export { bandAt } from './ring/overlap.js';
export {
  type BandId,
  type BlankId,
  bandOwner,
  blankOwner,
  type Owned,
  type Owner,
  ownerKey,
  type RingId,
  type Roll,
  ringOwner,
  rollOf,
  sameOwner,
} from './ring/owner.js';
export { type Point, polar, turned } from './ring/plane.js';
export { SANDED, type Sanded } from './ring/sanded.js';
export { bandWoods, type Cuts, type HalfSpace, MOST_SLANTS, type Slant, sidesOf } from './ring/slant.js';
export type { Thickness } from './ring/slicing.js';
export type { Point3, Solid } from './ring/space.js';
export { CAUTION_NOTE, CAUTIONS, type CautionId } from './settings/cautions.js';
export { type Climate, climateSchema } from './settings/climate.js';
export {
  ALIGNINGS,
  CLOSINGS,
  ERROR_KINDS,
  ERRORS,
  type ErrorKind,
  type Errors,
  errorsSchema,
  type School,
  USUAL_ERRORS,
} from './settings/errors.js';
export {
  FINISH_IDS,
  FINISHES,
  type Finish,
  type FinishId,
  sandedOff,
  takenByGrit,
} from './settings/finishes.js';
export { WEEKDAYS, type WorkingHours } from './settings/hours.js';
export { outBySled, type RememberedSetup, setupsFor, withSetup } from './settings/setups.js';
export { DEFAULT_SHOP, type Shop, shopSchema, withUnits } from './settings/shop.js';
export { shopUpToDate } from './settings/shopUpToDate.js';
export { startingShop } from './settings/startingShop.js';
export {
  CHORE_IDS,
  CHORES,
  type Chore,
  EQUIPMENT,
  type Equipment,
  type Workshop,
} from './settings/workshop.js';
export { type Balance, calmUpTo, GRAVITY, shakeAt } from './shop/balance.js';
export type { DayBound } from './shop/day/bound.js';
export { DAY_MINUTES, type Moment } from './shop/day/calendar.js';
export { type DayPlan, dayPlan, EQUIPMENT_NAMES, type Named } from './shop/day/schedule.js';
export type { Room } from './shop/day/serial.js';
export { type Session, sessionsOf } from './shop/day/sessions.js';
export type { Placed, Running, Stretch, Task } from './shop/day/task.js';
export { tasksOf, type WorkDone, waitOf, workDone } from './shop/day/tasks.js';
export { type OneMore, oneMore } from './shop/day/whatIf.js';
export { closingWedge, diagnosed, type Recut, recut, type Seen } from './shop/dryFit.js';
export { type Halves, halvesOf } from './shop/halves.js';
export { meantRing } from './shop/meant.js';
export { MOST_SIDE, type Moving, movingOf } from './shop/moves.js';
export { type Assembly, cannotBe, USUAL_BATCH } from './shop/order/assembly.js';
export { counted, nextJob, upTo } from './shop/order/counting.js';
export { cutsFor, type OwnCut, testsFor } from './shop/order/cutsFor.js';
export { finishOf } from './shop/order/finishJobs.js';
export { HOLDERS, type Hold, type Holder } from './shop/order/held.js';
export {
  type Job,
  type JobStage,
  type Order,
  RING_STATES,
  type RingState,
} from './shop/order/job.js';
export { cannotJoin } from './shop/order/joining.js';
export { type OrderedPiece, orderOf } from './shop/order/order.js';
export {
  JOINING_IDS,
  JOININGS,
  SAWING_IDS,
  SAWINGS,
  type Schools,
  SEAT_IDS,
  SEATS,
  STACKING_IDS,
  STACKINGS,
} from './shop/order/schools.js';
export { type Setting, settingsOf } from './shop/order/settings.js';
export { type StageView, stageView } from './shop/order/stageView.js';
export { type Done, hasCome, isDone, stateOf } from './shop/order/states.js';
export { reachStages } from './shop/order/stops.js';
export { slowerBy } from './shop/order/takes.js';
export { doneBy, lastBy, type Tick } from './shop/order/ticks.js';
export { type Help, shortOfOne } from './shop/short.js';
export {
  feetPerMinute,
  RPM_STEP,
  rimSpeed,
  type Speeds,
  sameRim,
  speedsFor,
  type TurningStage,
} from './shop/speeds.js';
export { type Flex, LIGHT_CUT, MOST_FLEX } from './shop/stiffness.js';
export { errorFromSum, type TestSum, TRUE_EDGES, testSums } from './shop/testSums.js';
export { outSaid, type WayOut, waysOut, wrongSaid } from './shop/waysOut.js';
export { whatItDoes } from './shop/whatItDoes.js';
export {
  angleAllowed,
  cutWrong,
  type Gapes,
  gapesOf,
  laidDry,
  type MeantRing,
  type WrongRing,
} from './shop/wrongAngle.js';
export type { Outcomes, RingOutcomes } from './simulate/counting.js';
export { type Halved, halvings } from './simulate/helps.js';
export { buildMany } from './simulate/many.js';
export { SEEN_GAP } from './simulate/seen.js';
export type { Method } from './simulate/subject.js';
export type { Spread } from './simulate/tally.js';
export type { Arc } from './surface/arcs.js';
export { clipped, type Triangle } from './surface/clip.js';
export { insideLine, outsideLine, type SectionPoint, woodOutline } from './surface/drawing.js';
export { type Dress, dressing, type SkinInk } from './surface/dressed.js';
export { type ExamplePicture, examplePicture } from './surface/example.js';
export {
  FINE_MESH,
  type MeshFineness,
  type RingMesh,
  ringMesh,
  VIEW_MESH,
} from './surface/mesh.js';
export { type FrontPoint, type OutsidePatch, outsidePatches } from './surface/outside.js';
export { regionSection } from './surface/regionSection.js';
export {
  type Fineness,
  type SampledWall,
  type Side,
  sampling,
} from './surface/sample.js';
export type { SampledRing } from './surface/sampleRow.js';
export { type SampledSkin, type SkinLine, type SkinPoint, skinLine, skinning } from './surface/skin.js';
export { stepAtJoint } from './surface/steps.js';
export { cutRows, placeToward } from './surface/toward.js';
export { type UnrolledPart, unrolledParts } from './surface/unrolled.js';
export { agedColour } from './wood/ageing.js';
export { SHIPPED_WOODS } from './wood/catalogue.js';
export { INVISIBLE, READS_WELL, SIGHTS, type Sight, seen } from './wood/colour.js';
export { type Figure as WoodFigure, PLAIN_FIGURE } from './wood/figure.js';
export {
  climateIn,
  daysToWait,
  equilibriumMoisture,
  humidityFor,
  moistureRange,
  REGIONS,
  type Region,
  weightOver,
} from './wood/moisture.js';
export { changeCoefficient } from './wood/movement.js';
export { density, figureOf, type Hatch, type Species, speciesSchema } from './wood/species.js';
export { underFinish } from './wood/underFinish.js';
