import { zodResolver } from "@hookform/resolvers/zod";
import { useForm, useWatch } from "react-hook-form";
import { changesOfList, isUsualCrewMember, mergeLists } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Heading } from "../ui/Heading";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { CrewMemberFields } from "./CrewMemberFields";
import { readCrew, typedCrew, typedCrewOf, type TypedCrew } from "./typedCrew";
import { useSettingsList } from "./useSettingsList";

const personOf = ({ personId }: { personId: string }): string => personId;

/** When each mechanic drives, and what they can do. */
export function CrewSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Hours and skills">
        <WaitingRows label="Loading" />
      </Screen>
    );
  return <Crew business={business} />;
}

function Crew({ business }: { business: Business }) {
  const { people, settings } = business;
  const form = useForm<TypedCrew, unknown, z.output<typeof readCrew>>({
    resolver: zodResolver(readCrew),
    defaultValues: typedCrewOf(settings, people),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/crew", form, {}, typedCrew);
  const typed = useWatch({ control, name: "people" });
  const list = useSettingsList(
    "crew",
    () => getValues("base"),
    (base, newest) => {
      const theirs = typedCrewOf(newest, people);
      const mine = getValues("people");
      reset({ ...theirs, people: mergeLists(mine, typedCrewOf(base, people).people, theirs.people, personOf) });
    },
  );
  const save = handleSubmit(
    ({ people: read }) =>
      list.save(
        (base, version) => {
          const isKept = (id: string): boolean => base.crew.some(({ personId }) => personId === id);
          const crew = read.filter((member) => isKept(member.personId) || !isUsualCrewMember(member));
          return call(routes.changeCrew, { body: { version, crew: changesOfList(base.crew, crew, personOf) } });
        },
        "Saved. Times are offered by this from now on; visits that are booked stay.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  return (
    <Screen
      title="Hours and skills"
      measured
      foot={<SaveFoot said={said} what="Saving hours and skills" onSave={save} testID="save-crew" />}
    >
      <Heading level={1}>Hours and skills</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedCrewOf(settings, people));
        }}
      />
      <Words tone="muted">The best times for a visit are found by this; any other can be booked all the same.</Words>
      {typed.map(({ personId, name }, index) => (
        <CrewMemberFields key={personId} control={control} index={index} name={name} />
      ))}
    </Screen>
  );
}
