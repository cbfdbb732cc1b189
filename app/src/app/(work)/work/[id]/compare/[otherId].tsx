import { useLocalSearchParams } from "expo-router";
import { CompareScreen } from "../../../../../quote/CompareScreen";

export default function Compare() {
  const { id, otherId } = useLocalSearchParams<{ id: string; otherId: string }>();
  return <CompareScreen key={`${id} ${otherId}`} id={id} otherId={otherId} />;
}
