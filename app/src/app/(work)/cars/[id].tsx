import { useLocalSearchParams } from "expo-router";
import { CarSheet } from "../../../cars/CarSheet";

export default function Car() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CarSheet id={id} />;
}
