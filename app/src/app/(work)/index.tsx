import { DayRoad } from "../../day/DayRoad";
import { OpenWork } from "../../day/OpenWork";
import { useIsWide } from "../../ui/useIsWide";
import { Screen } from "../../ui/Screen";

/** On a phone the day; on a wide screen the day is at the left already, and what is open stands beside it. */
export default function Day() {
  const isWide = useIsWide();
  if (isWide) return <OpenWork title="Day" />;
  return (
    <Screen title="Day">
      <DayRoad />
    </Screen>
  );
}
