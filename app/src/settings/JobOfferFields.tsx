import { Controller, type Control } from "react-hook-form";
import type { z } from "zod";
import { isWholeOrder } from "@mechanon/core";
import type { Business } from "../session/useSession";
import { PickedField } from "./PickedField";
import type { readJob, TypedJob } from "./typedJob";

interface JobOfferFieldsProps {
  control: Control<TypedJob, unknown, z.output<typeof readJob>>;
  jobId: string;
  business: Business;
}

/** What a job is offered for, and what with it. */
export function JobOfferFields({ control, jobId, business: { settings, library } }: JobOfferFieldsProps) {
  return (
    <>
      <Controller
        control={control}
        name="curesPoints"
        render={({ field }) => (
          <PickedField
            title="Cures, of the check"
            label="Find a point of the check"
            items={settings.inspection}
            chosen={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="answersConcerns"
        render={({ field }) => (
          <PickedField
            title="Answers, of what is said"
            label="Find a ready phrase"
            items={settings.concerns.map(({ id, text }) => ({ id, title: text }))}
            chosen={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="companions"
        render={({ field }) => (
          <PickedField
            title="Offered with it"
            label="Find what else to offer"
            items={library.filter((other) => other.id !== jobId && !isWholeOrder(other))}
            chosen={field.value}
            onChange={field.onChange}
          />
        )}
      />
    </>
  );
}
