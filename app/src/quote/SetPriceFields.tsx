import { StyleSheet, View } from "react-native";
import { readMoney, type Job } from "@mechanon/core";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { FigureField } from "./FigureField";
import { readAmount } from "./readAmount";

type SetPrice = NonNullable<Job["setPrice"]>;

interface SetPriceFieldsProps {
  job: Job;
  onSave: (setPrice: SetPrice | null) => void;
}

const money = (cents: number): string => (cents / 100).toFixed(2);

/** One price for a whole job, with how much of each line is included and what each beyond costs. */
export function SetPriceFields({ job, onSave }: SetPriceFieldsProps) {
  const { setPrice, title } = job;
  const counted = job.lines.flatMap((line) => (line.kind === "part" || line.kind === "fee" ? [line] : []));
  const included = setPrice?.included ?? [];
  const change = (lineId: string, over: Partial<SetPrice["included"][number]> | null): void => {
    if (!setPrice) return;
    const before = included.find((each) => each.lineId === lineId);
    const others = included.filter((each) => each.lineId !== lineId);
    const now = over && { lineId, quantity: 0, extraEachCents: 0, ...before, ...over };
    onSave({ ...setPrice, included: now ? [...others, now] : others });
  };
  return (
    <View style={styles.list}>
      <FigureField<{ cents: number | null }>
        label={`One price for ${title}`}
        value={{ cents: setPrice?.priceCents ?? null }}
        show={({ cents }) => (cents === null ? "" : money(cents))}
        read={(typed) => {
          if (typed.trim() === "") return { cents: null };
          const cents = readMoney(typed);
          return cents === null ? null : { cents };
        }}
        looksLike="an amount looks like 79.95"
        hint={setPrice ? undefined : "all of it for this, cores apart"}
        onSave={({ cents }) => onSave(cents === null ? null : { priceCents: cents, included })}
      />
      {setPrice
        ? counted.map((line) => {
            const now = included.find((each) => each.lineId === line.id);
            return (
              <View key={line.id} style={styles.list}>
                <Tick
                  label={`Only so much of ${line.description} is included`}
                  value={now !== undefined}
                  onChange={(isOn) => change(line.id, isOn ? { quantity: line.quantity } : null)}
                />
                {now ? (
                  <View style={styles.row}>
                    <View style={styles.field}>
                      <FigureField
                        label={`Included of ${line.description}`}
                        value={now.quantity}
                        show={String}
                        read={readAmount}
                        looksLike="a number like 5 or 7.6"
                        onSave={(quantity) => change(line.id, { quantity })}
                      />
                    </View>
                    <View style={styles.field}>
                      <FigureField
                        label={`Each beyond, ${line.description}`}
                        value={now.extraEachCents}
                        show={money}
                        read={readMoney}
                        looksLike="an amount looks like 6.50"
                        onSave={(extraEachCents) => change(line.id, { extraEachCents })}
                      />
                    </View>
                  </View>
                ) : null}
              </View>
            );
          })
        : null}
      {setPrice ? (
        <>
          <Words size="small" tone="muted">
            Discounts of single lines do not count while the job has one price.
          </Words>
          <Button kind="quiet" label="Price it line by line again" onPress={() => onSave(null)} />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.m },
  field: { flexGrow: 1, flexBasis: 120 },
});
