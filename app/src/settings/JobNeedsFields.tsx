import { Controller, type Control } from "react-hook-form";
import type { z } from "zod";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Tick } from "../ui/Tick";
import { Ticks } from "../ui/Ticks";
import { CONDITION_TITLES, JOB_RIGHT_TITLES } from "./needWords";
import type { readJob, TypedJob } from "./typedJob";

/** What a job says, and what it needs of the place and of who does it. */
export function JobNeedsFields({ control }: { control: Control<TypedJob, unknown, z.output<typeof readJob>> }) {
  return (
    <>
      <Heading level={2}>Words</Heading>
      <FormField control={control} name="customerWords" label="For the customer" multiline maxLength={500} />
      <FormField control={control} name="mechanicWords" label="For whoever does it" multiline maxLength={500} />
      <Heading level={2}>What it needs</Heading>
      <FormField control={control} name="skill" label="Skill" maxLength={60} />
      <FormField control={control} name="carries" label="What the van must carry" maxLength={60} />
      <Controller
        control={control}
        name="place"
        render={({ field }) => (
          <Ticks title="Of the place" titles={CONDITION_TITLES} chosen={field.value} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="rights"
        render={({ field }) => (
          <Ticks title="Of who does it" titles={JOB_RIGHT_TITLES} chosen={field.value} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="isDiagnosis"
        render={({ field }) => (
          <Tick label="It finds out what is wrong" value={field.value} onChange={field.onChange} />
        )}
      />
    </>
  );
}
