export { OddsControls } from "./Controls";
export { ByWhom, useByRecord, useLearnedOdds, useWhose, type ByRecord } from "./byRecord";
export { useMatchupWords } from "./matchup";
export { useFrozenOrder } from "./order";
export { Reorder } from "./Reorder";
export { SettingLine } from "./SettingLine";
export {
  mayBeSolvedHere,
  solverHere,
  useAim,
  useExplanation,
  useFlow,
  useGates,
  useLateCurve,
  useOdds,
  useOddsSoon,
  useOtherOdds,
  useOtherOverview,
  useOverview,
  useQuestions,
  useRestAdvice,
  useReview,
  useStances,
  useStories,
  useWas,
  type OddsData,
  type Overview,
} from "./odds";
export {
  matchupOf,
  NOBODY,
  useMoving,
  useSetting,
  useWrittenSetting,
  settingQuery,
  type Setting,
} from "./setting";
