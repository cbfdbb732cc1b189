/** Cars told apart, their specs and corrections, who drives them, whose they were; work orders without a car. */
export const up = `
alter table vehicles
  add column vin_note text,
  add column transmission text,
  add column unit_number text,
  add column nickname text,
  add column photo_id uuid,
  -- Each correction of a spec ever made, oldest first.
  add column corrections jsonb not null default '[]',
  -- The spec sheet as the source gave it last.
  add column specs jsonb;

create table vehicle_people (
  business_id uuid not null references businesses,
  vehicle_id uuid not null,
  customer_id uuid not null,
  role text not null,
  primary key (business_id, vehicle_id, customer_id),
  foreign key (business_id, vehicle_id) references vehicles on delete cascade,
  foreign key (business_id, customer_id) references customers
);
create index vehicle_people_customer on vehicle_people (business_id, customer_id);

create table vehicle_moves (
  business_id uuid not null references businesses,
  id uuid not null,
  vehicle_id uuid not null,
  from_customer_id uuid not null,
  to_customer_id uuid not null,
  moved_by uuid not null,
  moved_at timestamptz not null default now(),
  primary key (business_id, id),
  foreign key (business_id, vehicle_id) references vehicles on delete cascade,
  foreign key (business_id, from_customer_id) references customers,
  foreign key (business_id, to_customer_id) references customers,
  foreign key (business_id, moved_by) references people
);
create index vehicle_moves_vehicle on vehicle_moves (business_id, vehicle_id, moved_at);

alter table work_orders alter column vehicle_id drop not null;
update work_orders set state = state || '{"pressures": null}';
update customers set details = details || '{"serviceIntervals": []}';
update customer_merges set kept_before = jsonb_set(kept_before, '{details,serviceIntervals}', '[]');
update businesses set settings = settings || '{"concernGaps": [], "intervals": []}';
`;
