import { useMutation, useQueryClient } from "@tanstack/react-query";
import { createElement, useRef, type ChangeEvent } from "react";
import { View } from "react-native";
import { routes, PHOTO_TYPES } from "@mechanon/contract";
import { addressOf, call, ofPerson, reach } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { Logo } from "../papers/Logo";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

/** The logo on papers and customers' pages; it is kept as soon as it is picked. */
export function LogoPart({ logo, businessName }: { logo: string | null; businessName: string }) {
  const queries = useQueryClient();
  const files = useRef<HTMLInputElement>(null);
  const change = useMutation({
    mutationFn: async (file: File | null) => {
      if (file === null) await call(routes.dropLogo, {});
      else
        await reach(addressOf(routes.keepLogo.path), {
          method: "POST",
          headers: { "Content-Type": file.type || "application/octet-stream", ...ofPerson() },
          body: file,
        });
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ["business"] }),
  });
  const pick = (event: ChangeEvent<HTMLInputElement>): void => {
    const file = event.target.files?.[0];
    event.target.value = "";
    if (file) change.mutate(file);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading level={2}>Logo</Heading>
      {logo === null ? (
        <Words tone="muted">No logo yet: papers and pages show the name alone.</Words>
      ) : (
        <Logo uri={`data:image/png;base64,${logo}`} name={businessName} />
      )}
      {change.error ? <Notice text={errorWords(change.error)} /> : null}
      <NeedsSignal what="Changing the logo" />
      <Button
        label={logo === null ? "Pick a logo" : "Pick another logo"}
        busy={change.isPending}
        onPress={() => files.current?.click()}
      />
      {logo === null ? null : <Button kind="quiet" label="Take the logo off" onPress={() => change.mutate(null)} />}
      {createElement("input", {
        ref: files,
        type: "file",
        accept: PHOTO_TYPES.join(","),
        "aria-label": "Logo",
        "data-testid": "logo-file",
        style: { display: "none" },
        onChange: pick,
      })}
    </View>
  );
}
