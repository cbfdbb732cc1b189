import { Notice } from "../ui/Notice";

/** Told where a form shows what was typed and not saved the last time. */
export function BackAgain({ isBack, onGiveUp }: { isBack: boolean; onGiveUp: () => void }) {
  if (!isBack) return null;
  return (
    <Notice
      kind="note"
      text="What was typed here and not saved is back."
      action={{ label: "Give it up, and show what is kept", onPress: onGiveUp }}
    />
  );
}
