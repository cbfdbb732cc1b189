import { Controller, useFormState, useWatch } from "react-hook-form";
import { FormField } from "../../ui/FormField";
import { Tick } from "../../ui/Tick";
import { Words } from "../../ui/Words";
import { useSpeaking } from "../language";
import { Part } from "./Part";
import type { AskControl } from "./useAsking";

/** Who asks, how they are reached, and what they agree to be told by. */
export function WhoPart({ control }: { control: AskControl }) {
  const { t } = useSpeaking();
  const [phone, email] = useWatch({ control, name: ["phone", "email"] });
  const { errors } = useFormState({ control, name: "mayText" });
  const [hasPhone, hasEmail] = [phone.trim() !== "", email.trim() !== ""];
  return (
    <Part title={t("ask.whoTitle")} fault={errors.mayText?.message}>
      <FormField control={control} name="name" label={t("ask.name")} maxLength={120} autoComplete="name" />
      <FormField
        control={control}
        name="phone"
        label={t("ask.phone")}
        inputMode="tel"
        maxLength={40}
        autoComplete="tel"
      />
      <FormField
        control={control}
        name="email"
        label={t("ask.email")}
        inputMode="email"
        maxLength={200}
        autoCapitalize="none"
        autoComplete="email"
      />
      {hasEmail ? (
        <FormField
          control={control}
          name="emailAgain"
          label={t("ask.emailAgain")}
          inputMode="email"
          maxLength={200}
          autoCapitalize="none"
        />
      ) : null}
      <Words strong>{t("ask.reach")}</Words>
      {hasPhone || !hasEmail ? (
        <Controller
          control={control}
          name="mayText"
          render={({ field }) => <Tick label={t("ask.mayText")} value={field.value} onChange={field.onChange} />}
        />
      ) : null}
      {hasEmail ? (
        <Controller
          control={control}
          name="mayMail"
          render={({ field }) => <Tick label={t("ask.mayMail")} value={field.value} onChange={field.onChange} />}
        />
      ) : null}
    </Part>
  );
}
