import { useLocalSearchParams } from "expo-router";
import { JobEditor } from "../../../../settings/JobEditor";

export default function JobPage() {
  const { id = "", begin } = useLocalSearchParams<{ id: string; begin?: string }>();
  return <JobEditor id={id} {...(begin === undefined ? {} : { begin: begin === "order" ? "order" : "job" })} />;
}
