import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { countOf } from "@mechanon/core";
import { DOUBLE_POLICIES, ENCODINGS, routes, type ImportView } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Fold } from "../ui/Fold";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { ColumnMapping } from "./ColumnMapping";
import { DOUBLE_WORDS, importLine, isUnderWay } from "./fieldWords";
import { ImportProgress } from "./ImportProgress";
import { RowReport } from "./RowReport";

/** One file on its way in: what its columns are, a try, the report, the real thing, and back. */
export function ImportSteps({
  file,
  onChange,
  onLeave,
}: {
  file: ImportView;
  onChange: (file: ImportView) => void;
  onLeave: () => void;
}) {
  const [mapping, setMapping] = useState<ImportView["mapping"] | null>(null);
  const [doubles, setDoubles] = useState(file.doubles);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [isSetUpOpen, setSetUpOpen] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const params = { id: file.id };
  const step = async (work: () => Promise<ImportView>): Promise<void> => {
    setFault(null);
    try {
      onChange(await work());
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  const columns = mapping ?? file.mapping;
  const isNamed = columns.some(
    (field) => field === "name" || field === "firstName" || field === "lastName" || field === "business",
  );
  const { status, counts, rowCount } = file;
  const takeable = counts.new + counts.joins + counts.fills - left.size;
  const check = (
    <Button
      kind={status === "read" ? "next" : "plain"}
      disabled={!isNamed}
      label={status === "read" ? `Try ${countOf(rowCount, "row")}` : "Try again"}
      onPress={() => void step(() => call(routes.checkImport, { params, body: { mapping: columns, doubles } }))}
      testID="check-import"
    />
  );
  const run = (
    <Button
      kind="next"
      disabled={takeable <= 0}
      label={`Bring in ${countOf(takeable, "row")}`}
      onPress={() =>
        void step(() =>
          call(routes.runImport, { params, body: { rows: left.size === 0 ? "all" : rowsBut(file, left) } }),
        )
      }
      testID="run-import"
    />
  );
  const setUp = (
    <View style={styles.list}>
      {file.format === "csv" ? (
        <>
          <Choices
            label="Encoding"
            options={[...new Set([file.encoding, ...ENCODINGS])].map((value) => ({ value, label: value }))}
            value={file.encoding}
            onChoose={(encoding) => {
              const chosen = ENCODINGS.find((each) => each === encoding);
              setMapping(null);
              if (chosen) void step(() => call(routes.rereadImport, { params, body: { encoding: chosen } }));
            }}
          />
          <ColumnMapping columns={file.columns} mapping={columns} onChange={setMapping} />
        </>
      ) : null}
      <Heading level={3}>Who is kept already</Heading>
      <Choices
        label="Who is kept already"
        options={DOUBLE_POLICIES.map((value) => ({ value, label: DOUBLE_WORDS[value] }))}
        value={doubles}
        onChoose={setDoubles}
      />
      {isNamed ? null : (
        <Notice kind="note" text="Say which column holds the name or the business; without one no row can be taken." />
      )}
      {status === "checked" ? check : null}
    </View>
  );
  return (
    <Screen title="In and out" measured foot={status === "read" ? check : status === "checked" ? run : undefined}>
      <Heading level={1}>{file.fileName}</Heading>
      {isUnderWay(file) ? (
        <ImportProgress label={importLine(file)} done={file.doneCount} total={rowCount} />
      ) : (
        <Words role="status">{importLine(file)}</Words>
      )}
      {file.problem ? <Notice text={file.problem} /> : null}
      {fault ? <Notice text={fault} /> : null}
      {status === "read" ? setUp : null}
      {status === "checked" ? (
        <Fold
          title="Columns and doubles"
          line={`${countOf(columns.filter(Boolean).length, "column")} taken`}
          open={isSetUpOpen}
          onToggle={() => setSetUpOpen(!isSetUpOpen)}
        >
          {setUp}
        </Fold>
      ) : null}
      {status === "checked" || status === "done" || status === "undone" ? (
        <RowReport
          file={file}
          left={status === "checked" ? left : null}
          onLeaveOut={(row) => {
            const next = new Set(left);
            if (!next.delete(row)) next.add(row);
            setLeft(next);
          }}
        />
      ) : null}
      {status === "done" || status === "failed" ? (
        <Button
          label="Take all of it out again"
          onPress={() => void step(() => call(routes.undoImport, { params }))}
          testID="undo-import"
        />
      ) : null}
      <Button kind="quiet" label="To all files" onPress={onLeave} />
    </Screen>
  );
}

/** All rows but those left out. */
function rowsBut({ rowCount }: ImportView, left: ReadonlySet<number>): number[] {
  return Array.from({ length: rowCount }, (_, index) => index + 1).filter((row) => !left.has(row));
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
