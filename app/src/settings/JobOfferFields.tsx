import type { Control } from "react-hook-form";
import type { z } from "zod";
import { isWholeOrder } from "@mechanon/core";
import type { Business } from "../session/useSession";
import { PickedFormField } from "./PickedFormField";
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
      <PickedFormField
        control={control}
        name="curesPoints"
        title="Cures, of the check"
        label="Find a point of the check"
        items={settings.inspection}
      />
      <PickedFormField
        control={control}
        name="answersConcerns"
        title="Answers, of what is said"
        label="Find a ready phrase"
        items={settings.concerns.map(({ id, text }) => ({ id, title: text }))}
      />
      <PickedFormField
        control={control}
        name="companions"
        title="Offered with it"
        label="Find what else to offer"
        items={library.filter((other) => other.id !== jobId && !isWholeOrder(other))}
      />
    </>
  );
}
