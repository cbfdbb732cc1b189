import { useLocalSearchParams } from "expo-router";
import { CheckScreen } from "../../../../check/CheckScreen";

export default function Check() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CheckScreen key={id} id={id} />;
}
