import type { ReactNode } from "react";
import { errorWords } from "../api/problem";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";

export interface SheetWaitsProps {
  /** What it will be: "Work order". */
  title: string;
  /** Why it is not there; null: it is on its way. */
  error: unknown;
  onRetry: () => void;
  /** The way out, where there is another than the frame's. */
  children?: ReactNode;
}

/** A sheet that is not there yet, or cannot be. */
export function SheetWaits({ title, error, onRetry, children }: SheetWaitsProps) {
  return (
    <Screen title={title}>
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: onRetry }} />
      ) : (
        <WaitingRows label={`Loading the ${title.toLowerCase()}`} />
      )}
      {children}
    </Screen>
  );
}
