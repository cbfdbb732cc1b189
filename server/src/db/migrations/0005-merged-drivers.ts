/** What two merged customers drove before, so that parting them gives it back; links of records merged up to now move. */
export const up = `
alter table customer_merges add column drives_before jsonb not null default '[]';

insert into vehicle_people (business_id, vehicle_id, customer_id, role)
  select link.business_id, link.vehicle_id, merged.merged_into, link.role
  from vehicle_people link
  join customers merged on merged.business_id = link.business_id and merged.id = link.customer_id
  join vehicles car on car.business_id = link.business_id and car.id = link.vehicle_id
  where merged.merged_into is not null and car.customer_id <> merged.merged_into
  on conflict do nothing;
delete from vehicle_people link using customers merged
  where merged.business_id = link.business_id and merged.id = link.customer_id and merged.merged_into is not null;
`;
