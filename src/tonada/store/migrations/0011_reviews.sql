-- The client's review: what is shown is frozen; what is said, chosen and approved is added to, and kept.

-- Who the studio is, and where it is told what came back.
alter table workspace add column studio text not null default '' check (length(studio) <= 80);
alter table workspace add column notified text not null default '' check (length(notified) <= 200);

-- Pictures, sheets and the files that draw the sample pages, once for each workspace under their digest.
create table review_file (
    workspace_id uuid not null references workspace (id),
    digest bytea not null check (length(digest) = 32),
    mimetype text not null check (length(mimetype) between 3 and 100),
    content bytea not null check (length(content) between 1 and 20971520),
    primary key (workspace_id, digest)
);
-- What draws the sample pages, as it was when a review was made: the digest of each file by its name.
create table page_set (
    workspace_id uuid not null references workspace (id),
    digest bytea not null check (length(digest) = 32),
    files jsonb not null,
    primary key (workspace_id, digest)
);

create table review (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    brand_id uuid not null,
    greeting text not null default '' check (length(greeting) <= 600),
    may_comment boolean not null,
    may_choose boolean not null,
    may_approve boolean not null,
    -- Everything the client sees: see document/review.py.
    content jsonb not null,
    page_set bytea not null,
    created_at timestamptz not null default clock_timestamp(),
    withdrawn_at timestamptz,
    foreign key (workspace_id, brand_id) references brand (workspace_id, id),
    foreign key (workspace_id, page_set) references page_set (workspace_id, digest),
    unique (workspace_id, id)
);
create index review_of_brand on review (workspace_id, brand_id, created_at);

create table review_take (
    workspace_id uuid not null,
    review_id uuid not null,
    place integer not null check (place between 0 and 3),
    take_id uuid not null,
    version_number integer not null,
    -- SHA-256 of the version's document, see document/review.py.
    digest bytea not null check (length(digest) = 32),
    primary key (workspace_id, review_id, place),
    foreign key (workspace_id, review_id) references review (workspace_id, id),
    foreign key (workspace_id, take_id, version_number) references version (workspace_id, take_id, number)
);
create index review_of_take on review_take (workspace_id, take_id);

create table review_link (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    review_id uuid not null,
    name text not null default '' check (length(name) <= 80),
    -- The token is kept nowhere: half of it finds the link, the other half is compared by its hash.
    selector text not null unique check (length(selector) between 8 and 40),
    verifier bytea not null check (length(verifier) = 32),
    passphrase text check (length(passphrase) <= 300),
    wrong_passphrases integer not null default 0 check (wrong_passphrases >= 0),
    locked_until timestamptz,
    expires_at timestamptz,
    withdrawn_at timestamptz,
    created_at timestamptz not null default clock_timestamp(),
    first_opened_at timestamptz,
    last_opened_at timestamptz,
    opened integer not null default 0 check (opened >= 0),
    foreign key (workspace_id, review_id) references review (workspace_id, id),
    unique (workspace_id, id)
);
create index link_of_review on review_link (workspace_id, review_id, created_at);

create table remark (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    review_id uuid not null,
    -- Null: the designer's own.
    link_id uuid,
    -- The remark that it answers.
    answers uuid,
    -- What it is about: see document/review.py.
    about jsonb not null,
    author text not null check (length(author) between 1 and 80),
    -- Digest of the session that wrote it, so that it can be edited and taken back from there.
    person bytea check (length(person) = 32),
    text text not null check (length(text) between 1 and 2000),
    -- Of the file that it came in, for what was written without a server.
    outside_key text check (length(outside_key) <= 80),
    created_at timestamptz not null default clock_timestamp(),
    edited_at timestamptz,
    taken_back_at timestamptz,
    resolved_at timestamptz,
    foreign key (workspace_id, review_id) references review (workspace_id, id),
    foreign key (workspace_id, link_id) references review_link (workspace_id, id),
    unique (workspace_id, id),
    foreign key (workspace_id, answers) references remark (workspace_id, id),
    unique (workspace_id, review_id, outside_key)
);
create index remark_of_review on remark (workspace_id, review_id, created_at);

-- What happened, in its order: opened, chosen, approved, reopened, withdrawn, prolonged … Never changed.
create table review_event (
    id bigint generated always as identity primary key,
    workspace_id uuid not null,
    review_id uuid not null,
    link_id uuid,
    kind text not null check (length(kind) between 1 and 30),
    who text not null default '' check (length(who) <= 80),
    detail jsonb not null default '{}',
    outside_key text check (length(outside_key) <= 80),
    at timestamptz not null default clock_timestamp(),
    foreign key (workspace_id, review_id) references review (workspace_id, id),
    foreign key (workspace_id, link_id) references review_link (workspace_id, id),
    unique (workspace_id, review_id, outside_key)
);
create index event_of_review on review_event (workspace_id, review_id, id);
create trigger event_is_never_changed before update or delete on review_event
    for each row execute function refuse_change();

create table approval (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    review_id uuid not null,
    link_id uuid,
    place integer not null,
    name text not null check (length(name) between 1 and 80),
    at timestamptz not null default clock_timestamp(),
    reopened_at timestamptz,
    foreign key (workspace_id, review_id, place) references review_take (workspace_id, review_id, place),
    foreign key (workspace_id, link_id) references review_link (workspace_id, id)
);
-- One at a time: approving closes the review until the designer opens it again.
create unique index one_approval on approval (workspace_id, review_id) where reopened_at is null;

create table mail (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null references workspace (id),
    review_id uuid,
    recipient text not null check (length(recipient) between 3 and 200),
    subject text not null check (length(subject) between 1 and 200),
    text text not null,
    html text not null,
    created_at timestamptz not null default clock_timestamp(),
    sent_at timestamptz,
    attempts integer not null default 0,
    try_after timestamptz not null default clock_timestamp(),
    problem text,
    foreign key (workspace_id, review_id) references review (workspace_id, id)
);
create index mail_of_workspace on mail (workspace_id, created_at desc);

-- What a client sees never changes under them, whatever a statement says.
create function refuse_another_review() returns trigger language plpgsql as $$
begin
    if (new.content, new.page_set, new.brand_id, new.greeting, new.may_comment, new.may_choose,
        new.may_approve, new.created_at)
       is distinct from (old.content, old.page_set, old.brand_id, old.greeting, old.may_comment,
                         old.may_choose, old.may_approve, old.created_at) then
        raise exception 'what a review shows is never changed';
    end if;
    return new;
end
$$;
create trigger review_is_frozen before update on review
    for each row execute function refuse_another_review();

do $$
declare
    owned text;
begin
    foreach owned in array array['review_file', 'page_set', 'review', 'review_take', 'review_link', 'remark',
                                 'review_event', 'approval', 'mail'] loop
        execute format('alter table %I enable row level security', owned);
        execute format('alter table %I force row level security', owned);
        execute format(
            'create policy own on %I using (workspace_id::text = current_setting(''tonada.workspace'', true)) '
            'with check (workspace_id::text = current_setting(''tonada.workspace'', true))', owned);
        execute format(
            'create policy whole on %I using (current_setting(''tonada.workspace'', true) = ''*'')', owned);
    end loop;
end
$$;
