import { View } from "react-native";
import { isAbout } from "./pending";
import { RefusedAct } from "./RefusedAct";
import { useSync } from "./state";

/** What the server did not take of one thing, each with the ways out. */
export function Refusals({ of }: { of: string }) {
  const refused = useSync((state) => state.refused);
  const about = refused.filter((item) => isAbout(item, of));
  if (about.length === 0) return null;
  return (
    <View>
      {about.map((item) => (
        <RefusedAct key={item.id} item={item} />
      ))}
    </View>
  );
}
