import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useForm, useWatch, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import {
  LANGUAGES,
  LANGUAGE_NAMES,
  MESSAGE_KINDS,
  SENT_BY_HAND,
  TEMPLATE_FIELDS,
  type Language,
  type MessageKind,
} from "@mechanon/core";
import { routes } from "@mechanon/contract";
import type { z } from "zod";
import { call } from "../api/call";
import { KIND_WORDS } from "../messages/messageWords";
import { previewOf, textLengthWords } from "../messages/preview";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import {
  faultyTemplate,
  messagesOf,
  readMessages,
  typedMessages,
  typedMessagesOf,
  type TypedMessages,
} from "./typedMessages";
import { useSettingsList } from "./useSettingsList";

type MessageControl = Control<TypedMessages, unknown, z.output<typeof readMessages>>;

const RULES = [
  { value: "auto", label: "By itself" },
  { value: "ask", label: "Ask me first" },
  { value: "never", label: "Never" },
] as const;
const RULE_LINES = { auto: "by itself", ask: "asks first", never: "never" } as const;

/** What customers are told, when, and in which words. */
export function MessageSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Messages">
        <WaitingRows label="Loading" />
      </Screen>
    );
  return <Messages business={business} />;
}

function Messages({ business }: { business: Business }) {
  const form = useForm<TypedMessages, unknown, z.output<typeof readMessages>>({
    resolver: zodResolver(readMessages),
    defaultValues: typedMessagesOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const [open, setOpen] = useState<MessageKind | null>(null);
  const [language, setLanguage] = useState<Language>("en");
  const { isBack, drop } = useUnsavedFields("settings/messages", form, {}, typedMessages);
  const list = useSettingsList(
    "messages",
    () => getValues("base"),
    (_base, newest) => reset({ ...getValues(), base: newest }),
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) =>
          call(routes.changeMessages, { body: { version, messages: [{ from: base.messages, to: messagesOf(read) }] } }),
        "Saved. What is told from now on goes by this.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    (errors) => {
      // What does not fit is folded away, maybe: it is opened.
      const faulty = faultyTemplate(errors);
      setOpen(MESSAGE_KINDS.find((kind) => kind === faulty?.kind) ?? null);
      setLanguage(LANGUAGES.find((each) => each === faulty?.language) ?? "en");
      list.doesNotFit();
    },
  );
  const kinds = useWatch({ control, name: "kinds" });
  const { said } = list;
  return (
    <Screen title="Messages" measured foot={<SaveFoot said={said} onSave={save} testID="save-messages" />}>
      <Heading level={1}>What customers are told</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedMessagesOf(business.settings));
        }}
      />
      <FormField control={control} name="dayBefore" label="The day before is told at" maxLength={12} />
      <FormField
        control={control}
        name="late"
        label="Late is so many minutes behind, with nobody on the way"
        inputMode="numeric"
      />
      <FormField
        control={control}
        name="nudges"
        label="A quote nobody answered is asked about after so many days"
        hint="2, 5; then it stands on the list of whom to call; empty: never"
      />
      {MESSAGE_KINDS.map((kind) =>
        open === kind ? (
          <KindEditor
            key={kind}
            kind={kind}
            control={control}
            business={business}
            language={language}
            onLanguage={setLanguage}
            onClose={() => setOpen(null)}
          />
        ) : (
          <Button
            key={kind}
            kind="quiet"
            label={`${KIND_WORDS[kind]}: ${isByHand(kind) ? "when you send it" : RULE_LINES[kinds[kind].rule]}`}
            onPress={() => setOpen(kind)}
          />
        ),
      )}
    </Screen>
  );
}

function isByHand(kind: MessageKind): boolean {
  return SENT_BY_HAND.some((each) => each === kind);
}

interface KindEditorProps {
  kind: MessageKind;
  control: MessageControl;
  business: Business;
  language: Language;
  onLanguage: (language: Language) => void;
  onClose: () => void;
}

/** One kind of message: whether it goes by itself, and its words in both languages with what comes of them. */
function KindEditor({ kind, control, business, language, onLanguage, onClose }: KindEditorProps) {
  const colors = useColors();
  const written = useWatch({ control, name: `kinds.${kind}.${language}` });
  const text = previewOf(written.text, language, business);
  const mail = previewOf(written.mail, language, business);
  return (
    <View style={[styles.kind, { borderColor: colors.hairline }]} role="group" aria-label={KIND_WORDS[kind]}>
      <Heading level={2}>{KIND_WORDS[kind]}</Heading>
      {isByHand(kind) ? (
        <Words tone="muted">Goes when somebody sends it.</Words>
      ) : (
        <Controller
          control={control}
          name={`kinds.${kind}.rule`}
          render={({ field }) => (
            <Choices label="How it goes" options={RULES} value={field.value} onChoose={field.onChange} even />
          )}
        />
      )}
      <Choices
        label="Language"
        options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
        value={language}
        onChoose={onLanguage}
      />
      <FormField
        key={`text ${language}`}
        control={control}
        name={`kinds.${kind}.${language}.text`}
        label="Text"
        multiline
        maxLength={1000}
      />
      <Words size="small" tone="muted">
        {textLengthWords(text)}
      </Words>
      <Preview words={text} />
      <FormField
        key={`subject ${language}`}
        control={control}
        name={`kinds.${kind}.${language}.subject`}
        label="Subject of the mail"
        maxLength={200}
      />
      <FormField
        key={`mail ${language}`}
        control={control}
        name={`kinds.${kind}.${language}.mail`}
        label="Mail"
        multiline
        maxLength={4000}
      />
      <Preview words={mail} />
      <Words size="small" tone="muted">{`Fields: ${TEMPLATE_FIELDS.map((field) => `{${field}}`).join(" ")}`}</Words>
      <Button kind="quiet" label="Fold it again" onPress={onClose} />
    </View>
  );
}

/** What would be read. */
function Preview({ words }: { words: string }) {
  const colors = useColors();
  return (
    <View style={[styles.preview, { borderColor: colors.petrol }]} role="status" aria-label="As it is read">
      <Words>{words}</Words>
    </View>
  );
}

const styles = StyleSheet.create({
  kind: { borderTopWidth: 1, borderBottomWidth: 1, paddingVertical: SPACE.m, gap: SPACE.s },
  preview: { borderLeftWidth: 4, paddingLeft: SPACE.m },
});
