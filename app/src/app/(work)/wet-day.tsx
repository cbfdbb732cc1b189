import { useLocalSearchParams } from "expo-router";
import { WetDayScreen } from "../../calendar/WetDayScreen";

export default function WetDay() {
  const { date } = useLocalSearchParams<{ date?: string }>();
  return <WetDayScreen date={date ?? null} />;
}
