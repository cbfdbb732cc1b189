import { useLocalSearchParams } from "expo-router";
import { WorkSheet } from "../../../../work/WorkSheet";

export default function Work() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WorkSheet key={id} id={id} />;
}
