import { useLocalSearchParams } from "expo-router";
import { CustomerFace } from "../../customerFace/CustomerFace";

export default function Show() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CustomerFace id={id} />;
}
