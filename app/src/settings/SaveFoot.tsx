import { NeedsSignal } from "../offline/NeedsSignal";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import type { SaidOfList } from "./useSettingsList";

interface SaveFootProps {
  /** What is told of the last try. */
  said: SaidOfList | null;
  /** The act, as a sentence begins: "Saving the services". */
  what?: string;
  label?: string;
  onSave: () => Promise<void>;
  testID: string;
}

/** The foot of a form of the settings: what became of the last try, that saving needs a signal, and saving. */
export function SaveFoot({ said, what = "Saving", label = "Save", onSave, testID }: SaveFootProps) {
  return (
    <>
      {said ? <Notice kind={said.kind} text={said.text} /> : null}
      <NeedsSignal what={what} isTyped />
      <Button kind="next" label={label} onPress={() => void onSave()} testID={testID} />
    </>
  );
}
