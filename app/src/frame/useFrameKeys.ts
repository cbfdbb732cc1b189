import { useRouter } from "expo-router";
import { useHotkeys } from "react-hotkeys-hook";

/** The keys that work on every screen; none of them while something is typed. */
export function useFrameKeys(toggleHelp: () => void): void {
  const router = useRouter();
  useHotkeys("d", () => router.navigate("/"));
  useHotkeys("c", () => router.navigate("/calendar"));
  useHotkeys("o", () => router.navigate("/open"));
  useHotkeys("n", () => router.navigate("/new"), { preventDefault: true });
  useHotkeys("f", () => router.navigate("/find"), { preventDefault: true });
  useHotkeys("r", () => router.navigate("/requests"));
  useHotkeys("?", toggleHelp, { useKey: true });
}
