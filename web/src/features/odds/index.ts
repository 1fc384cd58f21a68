export { OddsControls } from "./OddsControls";
export { useAim, useOdds, useWas, type OddsData } from "./odds";
export { useSetting, settingQuery, type Setting } from "./setting";
