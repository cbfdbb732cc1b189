import { useWindowDimensions } from "react-native";
import { WIDE_FROM } from "./theme";

/** Whether list, sheet and context fit side by side. */
export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}
