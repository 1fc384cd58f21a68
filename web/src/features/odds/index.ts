export { OddsControls } from "./OddsControls";
export {
  useAim,
  useExplanation,
  useFlow,
  useGates,
  useLateCurve,
  useOdds,
  useOddsSoon,
  useOtherOdds,
  useOverview,
  useRestAdvice,
  useReview,
  useStances,
  useStories,
  useWas,
  type OddsData,
  type Overview,
} from "./odds";
export { matchupOf, useMoving, useSetting, useWrittenSetting, settingQuery, type Setting } from "./setting";
