import { Redirect, Slot, usePathname } from "expo-router";
import { useEffect } from "react";
import { errorWords } from "../../api/problem";
import { Frame } from "../../frame/Frame";
import { loadPagesAhead } from "../../offline/pagesAhead";
import { BusinessProvider } from "../../session/BusinessProvider";
import { useBusiness, useMe } from "../../session/useSession";
import { signInFor } from "../../session/wayBack";
import { useLiveChanges } from "../../sync/useLiveChanges";
import { Notice } from "../../ui/Notice";
import { Screen } from "../../ui/Screen";
import { WaitingRows } from "../../ui/WaitingRows";

/** Everything behind the sign-in. */
export default function WorkLayout() {
  return (
    <BusinessProvider>
      <Behind />
    </BusinessProvider>
  );
}

function Behind() {
  const pathname = usePathname();
  const { me, error, refetch } = useMe();
  const business = useBusiness();
  useLiveChanges(me?.id ?? null);
  const isIn = business !== undefined;
  useEffect(() => {
    if (isIn) void loadPagesAhead();
  }, [isIn]);
  if (error) {
    return (
      <Screen title="No connection">
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: refetch }} />
      </Screen>
    );
  }
  if (me === null) return <Redirect href={signInFor(pathname)} />;
  if (!me || !business) {
    return (
      <Screen title="Loading">
        <WaitingRows label="Loading your business" />
      </Screen>
    );
  }
  return (
    <Frame>
      <Slot />
    </Frame>
  );
}
