import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Linking } from "react-native";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";

/** Where the page is on which customers ask, its name, and what another page shows it inside with. */
export function AskAddress() {
  const queries = useQueryClient();
  const [typed, setTyped] = useState<string | null>(null);
  const { data, error } = useQuery({ queryKey: ["askAddress"], queryFn: () => call(routes.askAddress, {}) });
  const rename = useMutation({
    mutationFn: (slug: string) => call(routes.changeAskAddress, { body: { slug } }),
    onSuccess: (address) => {
      queries.setQueryData(["askAddress"], address);
      setTyped(null);
    },
  });
  if (error) return <Notice text={errorWords(error)} />;
  if (!data) return <WaitingRows label="Loading" rows={2} />;
  return (
    <>
      <Words strong>The page is here:</Words>
      <Words mono selectable>
        {data.url}
      </Words>
      <Button label="Open the page" onPress={() => void Linking.openURL(data.url)} />
      <Words size="small" tone="muted">
        To show it inside a page of yours, put this there, and that page’s front below:
      </Words>
      <Words size="small" mono selectable>
        {`<iframe src="${data.url}" title="Ask for a visit" width="100%" height="900"></iframe>`}
      </Words>
      {typed === null ? (
        <Button kind="quiet" label="Give the page another name" onPress={() => setTyped(data.slug)} />
      ) : (
        <>
          <Field
            label="Its name; links with the one before lead nowhere then"
            value={typed}
            onChangeText={setTyped}
            autoCapitalize="none"
            maxLength={40}
          />
          <Button
            label="Rename the page"
            busy={rename.isPending}
            disabled={typed.trim() === data.slug || typed.trim() === ""}
            onPress={() => rename.mutate(typed.trim().toLowerCase())}
          />
        </>
      )}
      {rename.error ? <Notice text={errorWords(rename.error)} /> : null}
    </>
  );
}
