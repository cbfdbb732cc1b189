import { StyleSheet, View } from "react-native";
import { SPACE } from "./theme";
import { Tick } from "./Tick";
import { Words } from "./Words";

interface TicksProps<Value extends string> {
  title: string;
  /** Of those there are to choose from. */
  titles: Partial<Record<Value, string>>;
  chosen: readonly Value[];
  onChange: (chosen: Value[]) => void;
}

/** Some of a few, in their own order. */
export function Ticks<Value extends string>({ title, titles, chosen, onChange }: TicksProps<Value>) {
  const all = Object.keys(titles) as Value[];
  return (
    <View role="group" aria-label={title}>
      <Words size="small" strong>
        {title}
      </Words>
      <View style={styles.ticks}>
        {all.map((each) => (
          <Tick
            key={each}
            label={titles[each] ?? each}
            value={chosen.includes(each)}
            onChange={(on) => onChange(all.filter((other) => (other === each ? on : chosen.includes(other))))}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ ticks: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.l } });
