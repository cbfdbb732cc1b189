import { createContext, useContext, useEffect, type ReactNode } from "react";
import { useColorScheme } from "react-native";
import { create } from "zustand";
import { persist } from "zustand/middleware";
import { DAY_FACE, NIGHT_FACE, type Colors } from "./theme";

export type FaceChoice = "auto" | "day" | "night";

/** Which face the person chose on this device. */
export const useFaceChoice = create<{ choice: FaceChoice; choose: (choice: FaceChoice) => void }>()(
  persist((set) => ({ choice: "auto", choose: (choice) => set({ choice }) }), { name: "mechanon-face" }),
);

const FaceContext = createContext<Colors | null>(null);

/** Gives all below it the colors of the day or the night face. */
export function FaceProvider({ children }: { children: ReactNode }) {
  const scheme = useColorScheme();
  const choice = useFaceChoice((state) => state.choice);
  const isNight = choice === "night" || (choice === "auto" && scheme === "dark");
  const colors = isNight ? NIGHT_FACE : DAY_FACE;
  useEffect(() => {
    if (typeof document === "undefined") return;
    document.documentElement.dataset.face = isNight ? "night" : "day";
    document.body.style.backgroundColor = colors.paper;
  }, [isNight, colors]);
  return <FaceContext.Provider value={colors}>{children}</FaceContext.Provider>;
}

/** The colors in force. @throws when used outside a FaceProvider. */
export function useColors(): Colors {
  const colors = useContext(FaceContext);
  if (!colors) throw new Error("useColors must be used below a FaceProvider");
  return colors;
}
