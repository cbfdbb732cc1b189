import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useForm, useWatch } from "react-hook-form";
import { LANGUAGES, LANGUAGE_NAMES, CONTACT_WAYS, noAccessNotes } from "@mechanon/core";
import { customerFields, type CustomerFields } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import type { z } from "zod";
import { errorWords, fieldFaults } from "../../api/problem";
import { useBusiness } from "../../session/useSession";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { Heading } from "../../ui/Heading";
import { Notice } from "../../ui/Notice";
import { Screen } from "../../ui/Screen";
import { BackAgain } from "../../unsaved/BackAgain";
import { useUnsavedFields } from "../../unsaved/useUnsavedFields";
import { NewcomerQuestions } from "../NewcomerQuestions";
import { AddressFields } from "./AddressFields";
import { ConsentField } from "./ConsentField";
import { ContactFields } from "./ContactFields";
import { FormField } from "../../ui/FormField";
import { PayingFields } from "./PayingFields";
import { ReachFields } from "./ReachFields";
import { withoutBlanks } from "./withoutBlanks";

export type ReadFields = z.output<typeof customerFields>;

export interface CustomerFormProps {
  title: string;
  /** Whose it is, by which what was typed is found again: `customer/ID`. */
  form: string;
  initial: CustomerFields;
  saveLabel: string;
  /** The way out without saving. */
  onLeave?: () => void;
  /** Keeps what was typed; throws what `call` throws. */
  onSave: (fields: ReadFields) => Promise<void>;
  /** What stands above the save button: likely doubles of what is being typed. */
  beside?: (fields: CustomerFields) => React.ReactNode;
}

const KINDS = [
  { value: "person", label: "Person" },
  { value: "business", label: "Business" },
] as const;
const WAY_LABELS = { call: "Call", text: "Text", email: "Email" } as const;

/** All that is known about a customer, to be typed or changed. A name is enough. */
export function CustomerForm({ title, form: key, initial, saveLabel, onLeave, onSave, beside }: CustomerFormProps) {
  const business = useBusiness();
  const [fault, setFault] = useState<unknown>(null);
  const form = useForm<CustomerFields, unknown, ReadFields>({
    resolver: (values, context, options) => zodResolver(customerFields)(withoutBlanks(values), context, options),
    defaultValues: initial,
  });
  const { control, handleSubmit, setValue, setError, reset, formState } = form;
  const { isBack, drop } = useUnsavedFields(key, form, initial);
  const typed = useWatch({ control });
  const isNewcomer = (initial.name ?? "") === "";
  const save = async (fields: ReadFields): Promise<void> => {
    setFault(null);
    try {
      await onSave(fields);
      drop();
    } catch (error) {
      setFault(error);
      for (const [path, message] of Object.entries(fieldFaults(error))) setError(path as "name", { message });
    }
  };
  const foot = (
    <>
      {formState.isSubmitted && !formState.isValid && fault === null ? (
        <Notice text="Something above does not fit; what you typed is kept." />
      ) : null}
      {fault !== null ? <Notice text={errorWords(fault)} /> : null}
      <Button
        kind="next"
        busy={formState.isSubmitting}
        label={saveLabel}
        onPress={() => void handleSubmit(save)()}
        testID="save-customer"
      />
    </>
  );
  return (
    <Screen title={title} measured foot={foot}>
      <Heading level={1}>{title}</Heading>
      {onLeave ? (
        <Button
          kind="quiet"
          label="Leave it as it was"
          onPress={() => {
            drop();
            onLeave();
          }}
        />
      ) : null}
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(initial);
        }}
      />
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choices
            even
            label="Kind of customer"
            options={KINDS}
            value={field.value ?? "person"}
            onChoose={field.onChange}
          />
        )}
      />
      <FormField control={control} name="name" label="Name or business" maxLength={300} />
      {beside?.(typed as CustomerFields)}
      <FormField
        control={control}
        name="knownFrom"
        label="How you know them"
        placeholder="from the bakery"
        maxLength={200}
      />
      <Heading level={2}>How to reach them</Heading>
      <ReachFields
        control={control}
        onDirectory={({ name, ...place }) => {
          setValue("name", name);
          setValue("serviceAddresses", [
            { id: uuid(), label: "", place: { ...place, latitude: null, longitude: null }, access: noAccessNotes() },
          ]);
        }}
      />
      <Controller
        control={control}
        name="preferredContact"
        render={({ field }) => (
          <Choices
            label="Preferred way"
            options={CONTACT_WAYS.map((value) => ({ value, label: `Rather ${WAY_LABELS[value].toLowerCase()}` }))}
            value={field.value ?? null}
            onChoose={(value) => field.onChange(field.value === value ? null : value)}
          />
        )}
      />
      <Controller
        control={control}
        name="textConsent"
        render={({ field }) => <ConsentField value={field.value ?? null} onChange={field.onChange} />}
      />
      <Controller
        control={control}
        name="emailConsent"
        render={({ field }) => <ConsentField what="Mails" value={field.value ?? null} onChange={field.onChange} />}
      />
      <Controller
        control={control}
        name="language"
        render={({ field }) => (
          <Choices
            label="Spoken to in"
            options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
            value={field.value ?? "en"}
            onChoose={field.onChange}
          />
        )}
      />
      <Heading level={2}>Where the work is</Heading>
      <AddressFields control={control} setValue={setValue} business={business} />
      <Heading level={2}>Contacts</Heading>
      <ContactFields control={control} />
      <Heading level={2}>Paying</Heading>
      <PayingFields control={control} setValue={setValue} />
      <Heading level={2}>Notes</Heading>
      <FormField control={control} name="notes" label="Notes" multiline maxLength={5000} />
      {business ? (
        <Controller
          control={control}
          name="newcomerAnswers"
          render={({ field: answers }) => (
            <Controller
              control={control}
              name="foundUsBy"
              render={({ field: found }) => (
                <NewcomerQuestions
                  settings={business.settings.newcomers}
                  isNewcomer={isNewcomer}
                  foundUsBy={found.value ?? null}
                  answers={answers.value ?? []}
                  onChange={(changed) => {
                    found.onChange(changed.foundUsBy);
                    answers.onChange(changed.answers);
                  }}
                />
              )}
            />
          )}
        />
      ) : null}
    </Screen>
  );
}
