import { useLocalSearchParams } from "expo-router";
import { PublicReceipt } from "../../receipts/PublicReceipt";

export default function OpenReceipt() {
  const { token } = useLocalSearchParams<{ token: string }>();
  return <PublicReceipt token={token} />;
}
