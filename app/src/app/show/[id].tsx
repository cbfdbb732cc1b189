import { useLocalSearchParams } from "expo-router";
import { CustomerFace } from "../../customerFace/CustomerFace";
import { BusinessProvider } from "../../session/BusinessProvider";

export default function Show() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <BusinessProvider>
      <CustomerFace id={id} />
    </BusinessProvider>
  );
}
