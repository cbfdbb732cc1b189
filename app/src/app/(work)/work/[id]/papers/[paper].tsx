import { Redirect, useLocalSearchParams } from "expo-router";
import { PAPERS } from "@mechanon/core";
import { PaperScreen } from "../../../../../papers/PaperScreen";

export default function Paper() {
  const { id, paper } = useLocalSearchParams<{ id: string; paper: string }>();
  const known = PAPERS.find((each) => each === paper);
  return known ? <PaperScreen id={id} paper={known} /> : <Redirect href={`/work/${id}`} />;
}
