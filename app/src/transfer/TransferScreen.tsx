import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Linking, StyleSheet } from "react-native";
import { MOST_IMPORT_BYTES, routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { addressOf, call } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { FilePick } from "./FilePick";
import { importLine } from "./fieldWords";
import { ImportSteps } from "./ImportSteps";
import { sendImport } from "./sendImport";
import { useImport } from "./useImport";

const EXPORTS = [
  ["Customers, as CSV", routes.exportCustomersCsv],
  ["Contacts, as CSV", routes.exportContactsCsv],
  ["Cars, as CSV", routes.exportCarsCsv],
  ["Customers, as vCards", routes.exportVcards],
] as const;
const MEGABYTE = 1024 * 1024;

/** Customers come in from files and leave as files. */
export function TransferScreen() {
  const colors = useColors();
  const may = useRight("settings");
  const [id, setId] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { file, set } = useImport(id);
  const { data: earlier, refetch } = useQuery({
    queryKey: ["imports"],
    queryFn: () => call(routes.listImports, {}),
    enabled: may,
  });
  const take = async (picked: File): Promise<void> => {
    setFault(null);
    if (picked.size > MOST_IMPORT_BYTES) {
      setFault(
        `This file has ${Math.ceil(picked.size / MEGABYTE)} MB; up to ${MOST_IMPORT_BYTES / MEGABYTE} MB are taken, some 250,000 customers. Nothing was sent; split it into several.`,
      );
      return;
    }
    setBusy(true);
    try {
      const made = await sendImport(uuid(), picked);
      set(made);
      setId(made.id);
    } catch (error) {
      setFault(errorWords(error));
    } finally {
      setBusy(false);
    }
  };
  if (!may)
    return (
      <Screen title="In and out" measured>
        <Heading level={1}>Customers in and out</Heading>
        <Notice kind="note" text="Taking customer data in or out is the owner's. Ask the owner, or sign in as one." />
      </Screen>
    );
  if (file)
    return (
      <ImportSteps
        key={file.id}
        file={file}
        onChange={set}
        onLeave={() => {
          setId(null);
          void refetch();
        }}
      />
    );
  const others = (earlier?.imports ?? []).filter((each) => each.id !== id);
  return (
    <Screen title="In and out" measured>
      <Heading level={1}>Customers in and out</Heading>
      {fault ? <Notice text={fault} /> : null}
      <NeedsSignal what="Bringing in and taking out" />
      <Heading level={2}>Bring in</Heading>
      <Words tone="muted">
        A CSV file with customers, contacts or cars, or vCards. It is only tried at first; nothing is kept before you
        say so.
      </Words>
      <FilePick
        label="File with customers"
        accept=".csv,.txt,.tsv,.vcf,text/csv,text/vcard"
        busy={busy}
        onPick={(picked) => void take(picked)}
      />
      {others.map((each) => (
        <Press
          key={each.id}
          role="link"
          label={`Import of ${each.fileName}, ${importLine(each)}`}
          onPress={() => setId(each.id)}
          style={[styles.line, { borderColor: colors.hairline }]}
        >
          <Words strong tone="petrol">
            {each.fileName}
          </Words>
          <Words size="small" tone="muted" figures>
            {importLine(each)}
          </Words>
        </Press>
      ))}
      <Heading level={2}>Take out</Heading>
      <Words tone="muted">
        All customers, in files other programs open. For one or a few, search and press “Take these out”.
      </Words>
      {EXPORTS.map(([label, route]) => (
        <Button key={label} label={label} onPress={() => void Linking.openURL(addressOf(route.path))} />
      ))}
    </Screen>
  );
}

const styles = StyleSheet.create({ line: { borderTopWidth: 1, paddingVertical: SPACE.s } });
