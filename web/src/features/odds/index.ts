export { OddsControls } from "./OddsControls";
export {
  useAim,
  useExplanation,
  useGates,
  useLateCurve,
  useOdds,
  useReview,
  useWas,
  type OddsData,
} from "./odds";
export { useSetting, settingQuery, type Setting } from "./setting";
