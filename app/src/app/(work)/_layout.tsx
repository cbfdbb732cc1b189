import { Redirect, Slot } from "expo-router";
import { errorWords } from "../../api/problem";
import { Frame } from "../../frame/Frame";
import { useBusiness, useMe } from "../../session/useSession";
import { useLiveChanges } from "../../sync/useLiveChanges";
import { Notice } from "../../ui/Notice";
import { Screen } from "../../ui/Screen";
import { Waiting } from "../../ui/Waiting";

/** Everything behind the sign-in. */
export default function WorkLayout() {
  const { me, error, refetch } = useMe();
  const business = useBusiness();
  useLiveChanges(me?.id ?? null);
  if (error) {
    return (
      <Screen title="No connection">
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: refetch }} />
      </Screen>
    );
  }
  if (me === null) return <Redirect href="/sign-in" />;
  if (!me || !business) {
    return (
      <Screen title="Loading">
        <Waiting label="Loading your business" />
      </Screen>
    );
  }
  return (
    <Frame>
      <Slot />
    </Frame>
  );
}
