import { useRef } from "react";
import { View } from "react-native";
import { Button } from "../ui/Button";
import { FileText } from "../ui/icons";

/** Picks one file of customers from the device. */
export function FilePick({ busy, onPick }: { busy: boolean; onPick: (file: File) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <View>
      <input
        ref={input}
        type="file"
        accept=".csv,.txt,.tsv,.vcf,text/csv,text/vcard"
        aria-label="File with customers"
        data-testid="import-file"
        style={{ display: "none" }}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          // The same file can be picked again.
          event.target.value = "";
          if (file) onPick(file);
        }}
      />
      <Button icon={FileText} busy={busy} label="Choose a file" onPress={() => input.current?.click()} />
    </View>
  );
}
