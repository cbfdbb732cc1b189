import { useRouter } from "expo-router";
import { Button } from "../ui/Button";

/** On a wet day: new times for what needs it dry. */
export function WetDayAct({ date, isShort = false }: { date: string; isShort?: boolean }) {
  const router = useRouter();
  return (
    <Button
      kind="quiet"
      label={isShort ? "Dry times" : "Find dry times"}
      spoken={`${isShort ? "Dry times" : "Find dry times"}, ${date}`}
      onPress={() => router.navigate(`/wet-day?date=${date}`)}
    />
  );
}
