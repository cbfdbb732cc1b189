import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Controller, useWatch, type UseFormReturn } from "react-hook-form";
import { askPageRoutes as routes } from "@mechanon/contract";
import { call } from "../../api/call";
import { Choices } from "../../ui/Choices";
import { FormField } from "../../ui/FormField";
import { useSpeaking } from "../language";
import type { TypedAsking } from "./askForm";
import { Part } from "./Part";

const POSTCODE = /^\d{5}$/;

/** Where the car is, and whether somebody is there. */
export function WherePart({ slug, form }: { slug: string; form: UseFormReturn<TypedAsking> }) {
  const { t } = useSpeaking();
  const { control, setValue, getValues } = form;
  const [postcode, isThere] = useWatch({ control, name: ["postcode", "isThere"] });
  const { data } = useQuery({
    queryKey: ["askTown", slug, postcode.trim()],
    queryFn: () => call(routes.findTown, { params: { slug }, body: { postcode: postcode.trim() } }),
    enabled: POSTCODE.test(postcode.trim()),
    retry: false,
    staleTime: Infinity,
  });
  const [town] = data?.towns ?? [];
  useEffect(() => {
    // What somebody typed by hand stays.
    if (town && getValues("town").trim() === "") {
      setValue("town", town.town, { shouldDirty: true });
      setValue("region", town.region, { shouldDirty: true });
    }
  }, [town, getValues, setValue]);
  return (
    <>
      <Part title={t("ask.whereTitle")}>
        <FormField
          control={control}
          name="street"
          label={t("ask.street")}
          maxLength={200}
          autoComplete="street-address"
        />
        <FormField
          control={control}
          name="postcode"
          label={t("ask.postcode")}
          inputMode="numeric"
          maxLength={10}
          autoComplete="postal-code"
        />
        <FormField control={control} name="town" label={t("ask.town")} maxLength={100} />
      </Part>
      <Part title={t("ask.thereTitle")}>
        <Controller
          control={control}
          name="isThere"
          render={({ field }) => (
            <Choices
              label={t("ask.thereTitle")}
              options={[
                { value: "there", label: t("ask.iAmThere") },
                { value: "key", label: t("ask.keyIsLeft") },
              ]}
              value={field.value ? "there" : "key"}
              onChoose={(chosen) => field.onChange(chosen === "there")}
            />
          )}
        />
        {isThere ? null : <FormField control={control} name="keyLies" label={t("ask.keyLies")} maxLength={200} />}
      </Part>
    </>
  );
}
