/** Customers with all their details, what they are searched by, and two records that became one. */
export const up = `
create extension if not exists pg_trgm;

alter table customers
  add column kind text not null default 'person' check (kind in ('person', 'business')),
  add column details jsonb,
  add column merged_into uuid,
  add column erased_at timestamptz,
  -- Which way of reading its words and keys were written with; an older one is written anew at the start.
  add column search_version smallint not null default 0,
  add foreign key (business_id, merged_into) references customers;
update customers set details = jsonb_build_object(
  'phones', case when phone is null then '[]'::jsonb else jsonb_build_array(jsonb_build_object('number', phone, 'extension', null, 'label', '')) end,
  'emails', case when email is null then '[]'::jsonb else jsonb_build_array(jsonb_build_object('address', email, 'label', '')) end,
  'preferredContact', null, 'textConsent', null, 'contacts', '[]'::jsonb, 'billingAddress', null,
  'serviceAddresses', case when place is null then '[]'::jsonb else jsonb_build_array(jsonb_build_object(
    'id', id, 'label', '', 'place', place,
    'access', '{"gateCode":"","dog":"","slope":"","heightLimit":"","surface":"","note":""}'::jsonb)) end,
  'taxExemption', case when tax_exempt then jsonb_build_object('number', 'on file') else null end,
  'usualPayer', null, 'notes', '', 'foundUsBy', null, 'newcomerAnswers', '[]'::jsonb);
alter table customers alter column details set not null,
  drop column phone, drop column email, drop column place, drop column tax_exempt;
create index customers_search_version on customers (search_version);
create index customers_merged on customers (business_id, merged_into) where merged_into is not null;

-- What is searched is derived from customers and cars and written anew with each change; no foreign keys are checked
-- for it, which would cost an import half its time.
-- Every word any customer is found by, once: looked through for beginnings, parts and near misses.
create table search_words (
  business_id uuid not null,
  word text collate "C" not null,
  primary key (business_id, word)
);
create index search_words_part on search_words using gin (word gin_trgm_ops);
create table search_word_shapes (
  business_id uuid not null,
  shape text collate "C" not null,
  word text collate "C" not null,
  primary key (business_id, shape, word),
  foreign key (business_id, word) references search_words on delete cascade
);
create index search_word_shapes_word on search_word_shapes (business_id, word);
create table customer_words (
  business_id uuid not null,
  word text collate "C" not null,
  field smallint not null,
  customer_id uuid not null
);
create unique index customer_words_front on customer_words (business_id, word, field, customer_id desc);
create index customer_words_customer on customer_words (business_id, customer_id, word, field);

-- Phones, emails, plates, VINs and streets, found by their beginning or their end.
create table customer_keys (
  business_id uuid not null,
  kind text not null,
  key text collate "C" not null,
  customer_id uuid not null,
  vehicle_id uuid
);
create index customer_keys_front on customer_keys (business_id, kind, key, customer_id);
create index customer_keys_back on customer_keys (business_id, kind, (reverse(key) collate "C"), customer_id);
create index customer_keys_customer on customer_keys (business_id, customer_id);

alter table work_orders add column later_count integer not null default 0;
update work_orders set later_count = jsonb_array_length(jsonb_path_query_array(state, '$.jobs[*] ? (@.answer.value == "later")'));
create index work_orders_later on work_orders (business_id, customer_id) where later_count > 0;
create index work_orders_open on work_orders (business_id, customer_id, opened_at desc) where waits_for is not null;
create index work_orders_past on work_orders (business_id, customer_id, opened_at desc) where waits_for is null;

create table customer_merges (
  business_id uuid not null references businesses,
  id uuid not null,
  kept_id uuid not null,
  merged_id uuid not null,
  merged_by uuid not null,
  merged_at timestamptz not null,
  undone_at timestamptz,
  -- What moved, and how the kept one was before: undoing puts both back.
  vehicle_ids uuid[] not null,
  work_order_ids uuid[] not null,
  kept_before jsonb not null,
  kept_version integer not null,
  primary key (business_id, id),
  foreign key (business_id, kept_id) references customers,
  foreign key (business_id, merged_id) references customers
);
create index customer_merges_kept on customer_merges (business_id, kept_id);

update businesses set settings = settings || '{"newcomers":{"foundUsBy":[],"questions":[]}}'::jsonb where not settings ? 'newcomers';
`;
