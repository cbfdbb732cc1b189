import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import { routes } from "@mechanon/contract";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { LogoPart } from "./LogoPart";
import { papersOf, readPapers, typedPapers, typedPapersOf, type TypedPapers } from "./typedPapers";
import { useSettingsList } from "./useSettingsList";

/** What stands on papers of the owner's own: logo, words, terms. */
export function PaperSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Papers">
        <WaitingRows label="Loading" />
      </Screen>
    );
  return <Papers business={business} />;
}

function Papers({ business }: { business: Business }) {
  const form = useForm<TypedPapers, unknown, z.output<typeof readPapers>>({
    resolver: zodResolver(readPapers),
    defaultValues: typedPapersOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/papers", form, {}, typedPapers);
  const list = useSettingsList(
    "papers",
    () => getValues("base"),
    (_base, newest) => reset({ ...getValues(), base: newest }),
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) =>
          call(routes.changePapers, {
            body: { version, papers: [{ from: papersOf({ ...base.papers, base }), to: papersOf(read) }] },
          }),
        "Saved. Quotes and sheets say this from now on; what was agreed before stays as it was shown.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  return (
    <Screen title="Papers" measured foot={<SaveFoot said={said} onSave={save} testID="save-papers" />}>
      <Heading level={1}>Papers</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedPapersOf(business.settings));
        }}
      />
      <LogoPart logo={business.settings.papers.logo} businessName={business.name} />
      <Heading level={2}>Quotes</Heading>
      <FormField control={control} name="quote.en" label="A quote opens with" multiline maxLength={1000} />
      <FormField control={control} name="quote.es" label="The same in Spanish" multiline maxLength={1000} />
      <FormField control={control} name="terms.en" label="Terms beneath it" multiline maxLength={6000} />
      <FormField
        control={control}
        name="terms.es"
        label="The terms in Spanish"
        hint="empty: as in English"
        multiline
        maxLength={6000}
      />
      <Words size="small" tone="muted">
        A yes is a yes to these terms, too: they are kept with it as they stood.
      </Words>
      <Heading level={2}>Mechanic’s sheets</Heading>
      <FormField control={control} name="mechanicsSheet" label="A sheet opens with" multiline maxLength={1000} />
    </Screen>
  );
}
