import { Notice } from "../ui/Notice";
import { takeNewerVersion, useNewerVersion } from "./useNewerVersion";

/** Offers a newer version of the app where nobody is in the middle of work; left alone, it comes with the next start. */
export function NewerVersion() {
  const { waiting, isTaken, isOpening } = useNewerVersion();
  if (isOpening) return <Notice kind="note" text="The newer version opens as soon as this page is whole." />;
  if (!waiting && !isTaken) return null;
  return (
    <Notice
      kind="note"
      text={
        isTaken
          ? "Another window of this device uses a newer version of Mechanon. Nothing you wrote is lost."
          : "A newer version of Mechanon is on this device. Nothing you wrote is lost."
      }
      action={{ label: "Use it now", onPress: takeNewerVersion }}
    />
  );
}
