import { Controller, useController, useFieldArray, useWatch, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { z } from "zod";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { StreetField } from "../newWork/StreetField";
import { useBusiness } from "../session/useSession";
import { WEEKDAYS, type readCrew, type TypedCrew } from "./typedCrew";

interface CrewMemberFieldsProps {
  control: Control<TypedCrew, unknown, z.output<typeof readCrew>>;
  index: number;
  name: string;
}

/** Weekdays, break, days off and skills of one mechanic. */
export function CrewMemberFields({ control, index, name }: CrewMemberFieldsProps) {
  const colors = useColors();
  const days = useWatch({ control, name: `people.${index}.days` });
  const { fields, append, remove } = useFieldArray({ control, name: `people.${index}.off`, keyName: "key" });
  const at = `people.${index}` as const;
  return (
    <View role="group" aria-label={name} style={[styles.person, { borderColor: colors.hairline }]}>
      <Heading level={2}>{name}</Heading>
      {WEEKDAYS.map((weekday, day) => (
        <View key={weekday} style={styles.row}>
          <View style={styles.day}>
            <Controller
              control={control}
              name={`${at}.days.${day}.works`}
              render={({ field }) => <Tick label={weekday} value={field.value} onChange={field.onChange} />}
            />
          </View>
          {days[day]?.works ? (
            <>
              <FormField
                control={control}
                name={`${at}.days.${day}.from`}
                label="From"
                aria-label={`${weekday} from, ${name}`}
                style={styles.time}
              />
              <FormField
                control={control}
                name={`${at}.days.${day}.until`}
                label="Until"
                aria-label={`${weekday} until, ${name}`}
                style={styles.time}
              />
            </>
          ) : null}
        </View>
      ))}
      <View style={styles.row}>
        <FormField
          control={control}
          name={`${at}.pauseFrom`}
          label="Break from"
          aria-label={`Break from, ${name}`}
          style={styles.time}
        />
        <FormField
          control={control}
          name={`${at}.pauseUntil`}
          label="Break until"
          aria-label={`Break until, ${name}`}
          style={styles.time}
        />
      </View>
      {fields.map(({ key }, place) => (
        <View key={key} style={styles.row}>
          <FormField
            control={control}
            name={`${at}.off.${place}.from`}
            label="Off from"
            aria-label={`Off from, ${name}, ${place + 1}`}
            placeholder="2026-12-24"
            style={styles.date}
          />
          <FormField
            control={control}
            name={`${at}.off.${place}.to`}
            label="Off until"
            aria-label={`Off until, ${name}, ${place + 1}`}
            placeholder="2026-12-26"
            style={styles.date}
          />
          <Button
            kind="quiet"
            label="Take off"
            spoken={`Take off days ${place + 1} of ${name}`}
            onPress={() => remove(place)}
          />
        </View>
      ))}
      <Button
        kind="quiet"
        label="Add days off"
        spoken={`Add days off, ${name}`}
        onPress={() => append({ from: "", to: "" })}
      />
      <FormField
        control={control}
        name={`${at}.skills`}
        label="Skills, parted by commas; none: can do all"
        aria-label={`Skills, ${name}`}
        maxLength={400}
      />
      <FormField
        control={control}
        name={`${at}.carries`}
        label="What the van carries, parted by commas; none: all that is asked for"
        aria-label={`What the van carries, ${name}`}
        maxLength={400}
      />
      <FormField
        control={control}
        name={`${at}.vanHeight`}
        label="Van height, inches; empty: not known"
        aria-label={`Van height, ${name}`}
        inputMode="numeric"
        maxLength={3}
      />
      <Base control={control} index={index} name={name} />
      <FormField
        control={control}
        name={`${at}.zone`}
        label="Time zone of these hours; empty: the business's"
        aria-label={`Time zone, ${name}`}
        placeholder="America/Denver"
        maxLength={60}
      />
    </View>
  );
}

/** Where a mechanic leaves from and comes home to; picked from the addresses, its drives are those of the roads. */
function Base({ control, index, name }: CrewMemberFieldsProps) {
  const business = useBusiness();
  const at = `people.${index}` as const;
  const street = useController({ control, name: `${at}.baseStreet` }).field;
  const latitude = useController({ control, name: `${at}.baseLatitude` }).field;
  const longitude = useController({ control, name: `${at}.baseLongitude` }).field;
  if (!business) return null;
  const put = (typed: string, at: { latitude: number | null; longitude: number | null }): void => {
    street.onChange(typed);
    latitude.onChange(at.latitude);
    longitude.onChange(at.longitude);
  };
  return (
    <>
      <StreetField
        business={business}
        label={`Home base, ${name}`}
        street={street.value}
        isPlaced={latitude.value !== null}
        onType={(typed) => put(typed, { latitude: null, longitude: null })}
        onPick={({ address, street: found }) => put(`${address}, ${found.town}`, found)}
      />
      <Words size="small" tone="muted">
        {street.value.trim() === ""
          ? "Empty: the shop."
          : latitude.value === null
            ? "Pick one of the addresses found: without a point on the map the drives are a guess."
            : "Found on the map."}
      </Words>
    </>
  );
}

const styles = StyleSheet.create({
  person: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, alignItems: "flex-end" },
  day: { width: 150 },
  time: { width: 90 },
  date: { width: 130 },
});
