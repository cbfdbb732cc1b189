import { useRouter } from "expo-router";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen title="Nothing here" foot={<Button kind="next" label="To the day" onPress={() => router.replace("/")} />}>
      <Notice text="There is no page at this address. Nothing was changed." />
    </Screen>
  );
}
