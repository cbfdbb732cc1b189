import { showPlace } from "@mechanon/core";
import { Button } from "../ui/Button";
import { useDirectory, type DirectoryFound } from "./useDirectory";

/** What the phone directory says about a number, to be taken. */
export function DirectoryOffer({ phone, onUse }: { phone: string; onUse: (entry: DirectoryFound) => void }) {
  const entry = useDirectory(phone);
  if (!entry) return null;
  return <Button label={`Directory: ${entry.name}, ${showPlace(entry)}. Use it`} onPress={() => onUse(entry)} />;
}
