import { useLocalSearchParams } from "expo-router";
import { ReceiptScreen } from "../../../../receipts/ReceiptScreen";

export default function Receipt() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ReceiptScreen id={id} />;
}
