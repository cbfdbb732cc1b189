import { useEffect } from "react";
import { Button } from "../ui/Button";
import { FaceProvider } from "../ui/face";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";

/** Instead of a page that could not be opened: a piece of it did not come, or it failed. */
export function PageFault({ error }: { error: Error }) {
  useEffect(() => reportError(error), [error]);
  return (
    <FaceProvider>
      <Screen title="Not opened" foot={<Button kind="next" label="To the day" onPress={() => location.assign("/")} />}>
        <Notice
          text="This page could not be opened. What you did is kept on this device. Load it again, or go on from the day meanwhile."
          action={{ label: "Load it again", onPress: () => location.reload() }}
        />
      </Screen>
    </FaceProvider>
  );
}
