import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { errorWords } from "../api/problem";
import { ScanField } from "../scan/ScanField";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { VIN_LENGTH, useVin } from "../vin/useVin";
import { VinFindings, vinProblems } from "../vin/VinFindings";
import { ConfirmGuess, ConfirmKnown } from "./ConfirmCar";
import { useCarSearch } from "./carSearch";

/** With these nothing can be kept as a VIN. */
const UNREADABLE: readonly string[] = ["wrong-length", "illegal-character"];

/** The car behind a VIN: counted while typed, checked at once, with what was probably meant; or scanned. */
export function CarByVin() {
  const { search, change } = useCarSearch();
  const { vin, decoded, known, isUnchecked, error, retry } = useVin(search.vin);
  // The VIN that stood there when a photo was begun: its car is not offered again unless somebody says so.
  const [aside, setAside] = useState<string | null>(null);
  const isAside = aside !== null && aside === search.vin;
  const isWhole = vin.length >= VIN_LENGTH && !isAside;
  const report = decoded?.report;
  const problems = report ? vinProblems(report) : [];
  const isReadable = isWhole && report !== undefined && !problems.some(({ code }) => UNREADABLE.includes(code));
  const plate =
    search.plate.trim() === "" || search.plateRegion === ""
      ? null
      : { plate: search.plate.trim(), region: search.plateRegion };
  return (
    <View style={styles.list}>
      <Field
        label="VIN"
        mono
        autoCapitalize="characters"
        value={search.vin}
        onChangeText={(typed) => change({ vin: typed })}
        maxLength={40}
        hint={`${vin.length} of ${VIN_LENGTH} characters`}
        autoComplete="off"
      />
      <ScanField
        wanted="vin"
        onReading={() => setAside(search.vin)}
        onFound={(found) => {
          setAside(null);
          change({ vin: found });
        }}
      />
      {isAside && vin !== "" ? (
        <Button kind="quiet" label={`Go on with ${vin}, as it was`} onPress={() => setAside(null)} />
      ) : null}
      {isWhole && error ? <Notice text={errorWords(error)} action={{ label: "Try again", onPress: retry }} /> : null}
      {report && !isAside ? <VinFindings report={report} onMeant={(meant) => change({ vin: meant })} /> : null}
      {vin.length > 0 && vin.length !== VIN_LENGTH ? (
        <Button
          kind="quiet"
          label="It has another length: go on by hand"
          onPress={() => change({ carWay: "hand", serial: search.vin.trim() })}
        />
      ) : null}
      {isReadable && isUnchecked ? (
        <Notice
          kind="note"
          text="No connection: the VIN was read on this phone. Whether the car is kept here already is looked up when it is saved."
        />
      ) : null}
      {known && !isAside ? <ConfirmKnown known={known} /> : null}
      {isReadable && decoded && !known && (known === null || isUnchecked) ? (
        <ConfirmGuess
          key={vin}
          guess={{ ...decoded.guess, ...plate }}
          variants={decoded.variants}
          likely={decoded.likely}
          asksWhy={problems.some(({ code }) => code === "check-digit")}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
