import { useRef } from "react";
import { View } from "react-native";
import { Button } from "../ui/Button";
import { FileText } from "../ui/icons";

interface FilePickProps {
  /** What the file holds, for screen readers. */
  label: string;
  /** The kinds of files the device offers. */
  accept: string;
  busy: boolean;
  onPick: (file: File) => void;
}

/** Picks one file from the device. */
export function FilePick({ label, accept, busy, onPick }: FilePickProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <View>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
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
