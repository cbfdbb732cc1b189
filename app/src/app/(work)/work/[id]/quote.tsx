import { useLocalSearchParams } from "expo-router";
import { QuoteTableScreen } from "../../../../quote/table/QuoteTableScreen";

export default function Quote() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <QuoteTableScreen key={id} id={id} />;
}
