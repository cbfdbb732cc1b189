import { useLocalSearchParams } from "expo-router";
import { RequestScreen } from "../../../requests/RequestScreen";

export default function Request() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RequestScreen key={id} id={id} />;
}
