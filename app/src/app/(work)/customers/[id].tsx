import { useLocalSearchParams } from "expo-router";
import { CustomerSheet } from "../../../customers/CustomerSheet";

export default function Customer() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CustomerSheet id={id} />;
}
