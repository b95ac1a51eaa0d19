

SET statement_timeout = 0;
SET lock_timeout = 0;
SET idle_in_transaction_session_timeout = 0;
SET client_encoding = 'UTF8';
SET standard_conforming_strings = on;
SELECT pg_catalog.set_config('search_path', '', false);
SET check_function_bodies = false;
SET xmloption = content;
SET client_min_messages = warning;
SET row_security = off;

SET default_tablespace = '';

SET default_table_access_method = heap;

CREATE TABLE public.book_term (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    key character varying(255) NOT NULL,
    kind text NOT NULL,
    word character varying(255) NOT NULL,
    aliases text[] NOT NULL,
    value character varying(255),
    spots jsonb,
    notes text,
    "position" integer NOT NULL,
    CONSTRAINT book_term_kind_check CHECK ((kind = ANY (ARRAY['formation'::text, 'backfield'::text, 'motion'::text, 'front'::text, 'coverage'::text, 'rotation'::text, 'pressure'::text, 'run'::text, 'pass'::text, 'protection'::text, 'tempo'::text, 'tag'::text])))
);

CREATE TABLE public.call (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    sheet_id uuid NOT NULL,
    key character varying(255) NOT NULL,
    section character varying(255) NOT NULL,
    order_key double precision NOT NULL,
    play_id uuid NOT NULL,
    hash character varying(255),
    note text
);

CREATE TABLE public.call_sheet (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    key character varying(255) NOT NULL,
    name character varying(255) NOT NULL,
    opponent character varying(255) NOT NULL,
    locked_by_id uuid,
    created_at timestamp with time zone NOT NULL
);

CREATE TABLE public.charting (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    game_id uuid NOT NULL,
    charter_id uuid NOT NULL,
    kind text NOT NULL,
    revision integer NOT NULL,
    created_at timestamp with time zone NOT NULL,
    CONSTRAINT charting_kind_check CHECK ((kind = ANY (ARRAY['official'::text, 'blind'::text])))
);

CREATE TABLE public.game (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    season_id uuid NOT NULL,
    key character varying(255) NOT NULL,
    date character varying(255),
    week integer,
    home character varying(255) NOT NULL,
    away character varying(255) NOT NULL,
    level text NOT NULL,
    phase text NOT NULL,
    surface character varying(255),
    weather character varying(255),
    wind character varying(255),
    source character varying(255),
    closed boolean NOT NULL,
    CONSTRAINT game_level_check CHECK ((level = ANY (ARRAY['high_school'::text, 'college'::text, 'professional'::text]))),
    CONSTRAINT game_phase_check CHECK ((phase = ANY (ARRAY['regular'::text, 'playoff'::text, 'exhibition'::text, 'scrimmage'::text, 'practice_11'::text, 'practice_no_line'::text, 'seven_on_seven'::text, 'flag'::text, 'study'::text])))
);

CREATE TABLE public.member (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    name character varying(255) NOT NULL,
    name_key character varying(255) NOT NULL,
    password_hash text,
    roles text[] NOT NULL,
    removed_at timestamp with time zone,
    created_at timestamp with time zone NOT NULL
);

CREATE TABLE public.mikro_orm_migrations (
    id integer NOT NULL,
    name character varying(255),
    executed_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP
);

CREATE SEQUENCE public.mikro_orm_migrations_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;

ALTER SEQUENCE public.mikro_orm_migrations_id_seq OWNED BY public.mikro_orm_migrations.id;

CREATE TABLE public.number_worn (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    game_id uuid NOT NULL,
    team character varying(255) NOT NULL,
    unit character varying(255) NOT NULL,
    number character varying(255) NOT NULL,
    player_id uuid NOT NULL
);

CREATE TABLE public.play (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    key character varying(255) NOT NULL,
    name character varying(255) NOT NULL,
    kind character varying(255) NOT NULL,
    personnel character varying(255),
    formation character varying(255),
    formation_side character varying(255),
    motion character varying(255),
    motion_by character varying(255),
    concept character varying(255) NOT NULL,
    concept_weak character varying(255),
    direction character varying(255)
);

CREATE TABLE public.player (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    key character varying(255) NOT NULL,
    name character varying(255)
);

CREATE TABLE public.program (
    id uuid NOT NULL,
    name character varying(255) NOT NULL,
    level text NOT NULL,
    season integer NOT NULL,
    team character varying(255) NOT NULL,
    demo boolean NOT NULL,
    book_name character varying(255) NOT NULL,
    book_letters text[] NOT NULL,
    settings jsonb NOT NULL,
    created_at timestamp with time zone NOT NULL,
    CONSTRAINT program_level_check CHECK ((level = ANY (ARRAY['high_school'::text, 'college'::text, 'professional'::text])))
);

CREATE TABLE public.roster_entry (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    player_id uuid NOT NULL,
    team_id uuid NOT NULL,
    season_id uuid NOT NULL,
    number character varying(255) NOT NULL,
    letters character varying(255),
    class character varying(255),
    height integer,
    weight integer
);

CREATE TABLE public.season (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    year integer NOT NULL
);

CREATE TABLE public.session (
    token_hash character varying(255) NOT NULL,
    member_id uuid NOT NULL,
    created_at timestamp with time zone NOT NULL,
    expires_at timestamp with time zone NOT NULL
);

CREATE TABLE public.sign_in_attempt (
    id uuid NOT NULL,
    name_key character varying(255) NOT NULL,
    at timestamp with time zone NOT NULL
);

CREATE TABLE public.snap (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    charting_id uuid NOT NULL,
    snap_key character varying(255) NOT NULL,
    order_key double precision NOT NULL,
    film text,
    film_in double precision,
    film_out double precision,
    offense text,
    defense text,
    unit text,
    quarter integer,
    clock integer,
    points_for integer,
    points_against integer,
    timeouts_for integer,
    timeouts_against integer,
    to_goal integer,
    hash text,
    down integer,
    distance integer,
    personnel text,
    extra_linemen integer,
    quarterback_out boolean,
    men integer,
    formation text,
    formation_side text,
    backfield text,
    receivers_left_set integer,
    receivers_right_set integer,
    tempo text,
    motion text,
    motion_by text,
    motion_side text,
    motion_speed text,
    receivers_left_snap integer,
    receivers_right_snap integer,
    front text,
    box integer,
    shell integer,
    corner_left_depth integer,
    corner_right_depth integer,
    play text,
    concept text,
    concept_weak text,
    direction text,
    protection text,
    drop integer,
    pressure text,
    rushers integer,
    coverage text,
    rotation text,
    read_key text,
    key_action text,
    carrier text,
    passer text,
    target text,
    kicker text,
    returner text,
    taken_by text,
    tacklers text[] NOT NULL,
    result text,
    incomplete_cause text,
    gain integer,
    out_of_bounds boolean,
    turnover text,
    fumble text,
    kick_end text,
    kick_yards integer,
    turnover_yards integer,
    return_yards integer,
    score text,
    scored_by text,
    dead_possession text,
    dead_to_goal integer,
    dead_hash text,
    next_offense text,
    penalties jsonb NOT NULL,
    tags text[] NOT NULL,
    kept boolean,
    note text,
    provenance jsonb NOT NULL,
    created_by_id uuid NOT NULL,
    created_at timestamp with time zone NOT NULL,
    deleted_at timestamp with time zone,
    revision integer NOT NULL
);

CREATE TABLE public.team (
    id uuid NOT NULL,
    program_id uuid NOT NULL,
    key character varying(255) NOT NULL,
    name character varying(255) NOT NULL,
    nickname character varying(255),
    place character varying(255)
);

ALTER TABLE ONLY public.mikro_orm_migrations ALTER COLUMN id SET DEFAULT nextval('public.mikro_orm_migrations_id_seq'::regclass);

INSERT INTO public.book_term VALUES ('b0cda732-c55a-40c9-94eb-cc0ccd57da83', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-doubles', 'formation', 'doubles', '{"2x2 tight"}', NULL, '[{"x": -16, "depth": 0.3, "letter": "X", "onLine": true}, {"x": -8, "depth": 1, "letter": "H", "onLine": false}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 14, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 0);
INSERT INTO public.book_term VALUES ('26d8df32-2121-4254-8e4b-f691045c037f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-spread', 'formation', 'spread', '{2x2}', NULL, '[{"x": -17, "depth": 0.3, "letter": "X", "onLine": true}, {"x": -8, "depth": 1, "letter": "H", "onLine": false}, {"x": 8, "depth": 1, "letter": "Y", "onLine": false}, {"x": 17, "depth": 0.3, "letter": "Z", "onLine": true}]', NULL, 1);
INSERT INTO public.book_term VALUES ('d575a4b1-45da-4651-ac77-a8005d5fb11b', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-trips', 'formation', 'trips', '{3x1}', NULL, '[{"x": -16, "depth": 0.3, "letter": "X", "onLine": true}, {"x": 6, "depth": 1, "letter": "H", "onLine": false}, {"x": 11, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 16, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 2);
INSERT INTO public.book_term VALUES ('1f87d8e7-8044-46cb-a976-8ecc7e422bd3', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-trey', 'formation', 'trey', '{"trips tight"}', NULL, '[{"x": -15, "depth": 0.3, "letter": "X", "onLine": true}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 9, "depth": 1, "letter": "H", "onLine": false}, {"x": 15, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 3);
INSERT INTO public.book_term VALUES ('4499fd34-353e-4c7e-9cb8-3e4806440d80', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-bunch', 'formation', 'bunch', '{}', NULL, '[{"x": -14, "depth": 0.3, "letter": "X", "onLine": true}, {"x": 6, "depth": 1, "letter": "H", "onLine": false}, {"x": 7.5, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 9, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 4);
INSERT INTO public.book_term VALUES ('9c1b1be0-4882-47d6-b742-7459547d7d9e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-wing', 'formation', 'wing', '{}', NULL, '[{"x": -14, "depth": 0.3, "letter": "Z", "onLine": true}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 6.4, "depth": 1.4, "letter": "H", "onLine": false}, {"x": 15, "depth": 1, "letter": "X", "onLine": false}]', NULL, 5);
INSERT INTO public.book_term VALUES ('bdd491c0-0922-440e-b6cf-cfb48e80140b', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-double-wing', 'formation', 'double wing', '{}', NULL, '[{"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": -6.4, "depth": 1.4, "letter": "H", "onLine": false}, {"x": 6.4, "depth": 1.4, "letter": "Z", "onLine": false}, {"x": -4.8, "depth": 0.3, "letter": "X", "onLine": true}]', NULL, 6);
INSERT INTO public.book_term VALUES ('273205d7-b506-49f2-88f3-c650a4b04d78', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-pro', 'formation', 'pro', '{}', NULL, '[{"x": -15, "depth": 0.3, "letter": "X", "onLine": true}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 14, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 7);
INSERT INTO public.book_term VALUES ('67fe8ccf-b648-4a58-877b-40f07dd7e74a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-twins', 'formation', 'twins', '{}', NULL, '[{"x": -4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 10, "depth": 1, "letter": "Z", "onLine": false}, {"x": 15, "depth": 0.3, "letter": "X", "onLine": true}]', NULL, 8);
INSERT INTO public.book_term VALUES ('755866dd-7470-40f5-9075-afd053bf7cf9', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-slot', 'formation', 'slot', '{}', NULL, '[{"x": -15, "depth": 0.3, "letter": "X", "onLine": true}, {"x": -9, "depth": 1, "letter": "H", "onLine": false}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}]', NULL, 9);
INSERT INTO public.book_term VALUES ('5f831c0e-6d87-4a74-9b29-495b8bd903e4', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-empty', 'formation', 'empty', '{"empty 3x2"}', NULL, '[{"x": -17, "depth": 0.3, "letter": "X", "onLine": true}, {"x": -9, "depth": 1, "letter": "T", "onLine": false}, {"x": 5.5, "depth": 1, "letter": "H", "onLine": false}, {"x": 11, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 17, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 10);
INSERT INTO public.book_term VALUES ('b4785337-a8aa-425b-afe6-3ec08eecbccd', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-quads', 'formation', 'quads', '{"empty 4x1"}', NULL, '[{"x": -16, "depth": 0.3, "letter": "X", "onLine": true}, {"x": 5.5, "depth": 1, "letter": "H", "onLine": false}, {"x": 9, "depth": 1, "letter": "T", "onLine": false}, {"x": 13, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 17, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 11);
INSERT INTO public.book_term VALUES ('a637847e-d86a-461f-a065-f3e53ff88515', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-ace', 'formation', 'ace', '{"double tight"}', NULL, '[{"x": -14, "depth": 1, "letter": "X", "onLine": false}, {"x": -4.8, "depth": 0.3, "letter": "H", "onLine": true}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 14, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 12);
INSERT INTO public.book_term VALUES ('8af7fdec-eaef-473b-9314-01f026655380', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-heavy', 'formation', 'heavy', '{}', NULL, '[{"x": -4.8, "depth": 0.3, "letter": "H", "onLine": true}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 13, "depth": 1, "letter": "Z", "onLine": false}]', NULL, 13);
INSERT INTO public.book_term VALUES ('4565de85-bab9-41a3-bd50-067726d4006a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-stack', 'formation', 'stack', '{}', NULL, '[{"x": -12, "depth": 0.3, "letter": "X", "onLine": true}, {"x": -12, "depth": 2.5, "letter": "H", "onLine": false}, {"x": 12, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 12, "depth": 2.5, "letter": "Z", "onLine": false}]', NULL, 14);
INSERT INTO public.book_term VALUES ('0b6e0bee-63bd-45fa-9026-40db38944134', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'formation-cluster', 'formation', 'cluster', '{}', NULL, '[{"x": -14, "depth": 0.3, "letter": "X", "onLine": true}, {"x": 4.8, "depth": 0.3, "letter": "Y", "onLine": true}, {"x": 6.2, "depth": 1.2, "letter": "H", "onLine": false}, {"x": 7.6, "depth": 1.2, "letter": "Z", "onLine": false}]', NULL, 15);
INSERT INTO public.book_term VALUES ('bbdc537b-564e-4d43-82d8-6e09b7997b6a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-gun', 'backfield', 'gun', '{"gun away"}', NULL, '[{"x": 0, "depth": 5, "letter": "Q", "onLine": false}, {"x": -1.8, "depth": 5, "letter": "T", "onLine": false}]', NULL, 16);
INSERT INTO public.book_term VALUES ('b78e5173-6930-4062-9766-bace7931ea8f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-gun-near', 'backfield', 'gun near', '{"gun strong"}', NULL, '[{"x": 0, "depth": 5, "letter": "Q", "onLine": false}, {"x": 1.8, "depth": 5, "letter": "T", "onLine": false}]', NULL, 17);
INSERT INTO public.book_term VALUES ('80565d51-cb79-4c15-a7fa-7a9fc492316c', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-boundary-edge-pressure', 'pressure', 'boundary edge pressure', '{"boundary edge"}', NULL, NULL, NULL, 68);
INSERT INTO public.book_term VALUES ('f8ddf19a-f420-40fe-b708-61f9519c3e87', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-gun-dot', 'backfield', 'gun dot', '{}', NULL, '[{"x": 0, "depth": 5, "letter": "Q", "onLine": false}, {"x": 0, "depth": 7.5, "letter": "T", "onLine": false}]', NULL, 18);
INSERT INTO public.book_term VALUES ('b6ebed99-36ff-4234-9ce1-c950bc62ba12', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-pistol', 'backfield', 'pistol', '{}', NULL, '[{"x": 0, "depth": 4, "letter": "Q", "onLine": false}, {"x": 0, "depth": 7, "letter": "T", "onLine": false}]', NULL, 19);
INSERT INTO public.book_term VALUES ('42c9fa69-17de-44f9-b985-38aa8a67781f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-under', 'backfield', 'under', '{"under center",dot}', NULL, '[{"x": 0, "depth": 1.2, "letter": "Q", "onLine": false}, {"x": 0, "depth": 7, "letter": "T", "onLine": false}]', NULL, 20);
INSERT INTO public.book_term VALUES ('d1a41504-c46c-4ac3-adb9-95aea22df68b', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-i', 'backfield', 'i', '{"i form"}', NULL, '[{"x": 0, "depth": 1.2, "letter": "Q", "onLine": false}, {"x": 0, "depth": 4.5, "letter": "F", "onLine": false}, {"x": 0, "depth": 7.2, "letter": "T", "onLine": false}]', NULL, 21);
INSERT INTO public.book_term VALUES ('df51207b-2047-40c8-aea3-b8d8ee697651', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-offset-i', 'backfield', 'offset i', '{offset}', NULL, '[{"x": 0, "depth": 1.2, "letter": "Q", "onLine": false}, {"x": 2, "depth": 4.5, "letter": "F", "onLine": false}, {"x": 0, "depth": 7.2, "letter": "T", "onLine": false}]', NULL, 22);
INSERT INTO public.book_term VALUES ('276b5c6b-dd4f-4f15-8c84-744c163f7696', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'backfield-split-backs', 'backfield', 'split backs', '{split}', NULL, '[{"x": 0, "depth": 5, "letter": "Q", "onLine": false}, {"x": 2, "depth": 5, "letter": "F", "onLine": false}, {"x": -2, "depth": 5, "letter": "T", "onLine": false}]', NULL, 23);
INSERT INTO public.book_term VALUES ('e8b32b3e-5143-4a4f-8675-d8e470eab7f3', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-jet', 'motion', 'jet', '{"fast across"}', NULL, NULL, NULL, 24);
INSERT INTO public.book_term VALUES ('5afe352f-8faa-4172-ac59-cbd6845b4bb7', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-orbit', 'motion', 'orbit', '{behind}', NULL, NULL, NULL, 25);
INSERT INTO public.book_term VALUES ('5808b1cc-b68e-466d-b9e9-7f2d3a6b1070', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-return', 'motion', 'return', '{"orbit return"}', NULL, NULL, NULL, 26);
INSERT INTO public.book_term VALUES ('c6b8426f-a518-422f-8cb8-33128a75f10f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-in-and-out', 'motion', 'in-and-out', '{"in and out"}', NULL, NULL, NULL, 27);
INSERT INTO public.book_term VALUES ('01a14d30-b0de-4156-9cb3-ff5420a771dc', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-short', 'motion', 'short', '{crack-in,"short in"}', NULL, NULL, NULL, 28);
INSERT INTO public.book_term VALUES ('4022bd29-65ce-4209-818f-ebf6f6138ca9', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-out-to-empty', 'motion', 'out to empty', '{"back to empty"}', NULL, NULL, NULL, 29);
INSERT INTO public.book_term VALUES ('cf4c01ad-52a9-481a-af9c-11df9ea783bc', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-trade', 'motion', 'trade', '{}', NULL, NULL, NULL, 30);
INSERT INTO public.book_term VALUES ('be22a319-e3ad-4511-8884-288457980cfa', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-back-out', 'motion', 'back out', '{}', NULL, NULL, NULL, 31);
INSERT INTO public.book_term VALUES ('57652a6e-1128-4176-9352-dd4abca010b4', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-across', 'motion', 'across', '{"jog across"}', NULL, NULL, NULL, 32);
INSERT INTO public.book_term VALUES ('c942778a-0879-42b7-9c77-0d893f027bf9', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'motion-shift', 'motion', 'shift', '{}', NULL, NULL, NULL, 33);
INSERT INTO public.book_term VALUES ('b5c2da29-9068-492b-8947-d07df72d5b72', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-4-2-over', 'front', '4-2 over', '{over}', NULL, NULL, NULL, 34);
INSERT INTO public.book_term VALUES ('b3790baa-07b1-4ff2-8cd2-71748b2b5ced', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-4-2-under', 'front', '4-2 under', '{"under front"}', NULL, NULL, NULL, 35);
INSERT INTO public.book_term VALUES ('803e5e8c-7679-4a8e-9578-8e57e492ebca', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-4-3-over', 'front', '4-3 over', '{}', NULL, NULL, NULL, 36);
INSERT INTO public.book_term VALUES ('3f512a6f-2a42-411e-b1f9-5761cdca3dc4', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-4-3-under', 'front', '4-3 under', '{}', NULL, NULL, NULL, 37);
INSERT INTO public.book_term VALUES ('d35e683c-1a36-41e9-9c9e-1238f95f4a76', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-4-3-even', 'front', '4-3 even', '{even}', NULL, NULL, NULL, 38);
INSERT INTO public.book_term VALUES ('fb5840a7-6dff-48d9-a967-0f6d64b790bc', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-4-1', 'front', '4-1', '{}', NULL, NULL, NULL, 39);
INSERT INTO public.book_term VALUES ('19bfbeff-e091-4e85-8a83-3c1b0c22f8f7', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-3-3', 'front', '3-3', '{"3-3 stack"}', NULL, NULL, NULL, 40);
INSERT INTO public.book_term VALUES ('116e60f7-3328-471d-ab44-53e90426f9a4', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-3-4', 'front', '3-4', '{"3-4 odd",odd}', NULL, NULL, NULL, 41);
INSERT INTO public.book_term VALUES ('62996646-ffbf-4b57-8d9f-e625a48eabb9', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-3-2', 'front', '3-2', '{}', NULL, NULL, NULL, 42);
INSERT INTO public.book_term VALUES ('923164bb-730c-4e5f-891b-d19a262c0abd', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-tite', 'front', 'tite', '{4i-0-4i}', NULL, NULL, NULL, 43);
INSERT INTO public.book_term VALUES ('e8dc6aac-6efa-4807-a5ca-c4c8cf819166', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-bear', 'front', 'bear', '{"double eagle"}', NULL, NULL, NULL, 44);
INSERT INTO public.book_term VALUES ('3c5503a9-86f1-4f0a-9786-8191983436a1', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-5-2', 'front', '5-2', '{}', NULL, NULL, NULL, 45);
INSERT INTO public.book_term VALUES ('1ff90182-e094-4431-ba56-0d334fe899f9', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-6-2', 'front', '6-2', '{}', NULL, NULL, NULL, 46);
INSERT INTO public.book_term VALUES ('82905b3f-9d1d-4569-a7d5-039d05ccfea8', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'front-goal-line', 'front', 'goal line', '{}', NULL, NULL, NULL, 47);
INSERT INTO public.book_term VALUES ('922b7eb8-b75c-4698-ae69-74b3b1fd1834', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-cover-0', 'coverage', 'cover 0', '{zero}', NULL, NULL, NULL, 48);
INSERT INTO public.book_term VALUES ('62b8b102-1b8c-4fa4-a5c8-f58a3289b7b3', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-cover-1', 'coverage', 'cover 1', '{"man free"}', NULL, NULL, NULL, 49);
INSERT INTO public.book_term VALUES ('e63da891-5250-4eaf-ac6d-dd96c7966f46', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-cover-1-robber', 'coverage', 'cover 1 robber', '{robber}', NULL, NULL, NULL, 50);
INSERT INTO public.book_term VALUES ('6c47dde2-14ad-4f16-9a02-c67aabb30570', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-cover-2', 'coverage', 'cover 2', '{cloud}', NULL, NULL, NULL, 51);
INSERT INTO public.book_term VALUES ('a2d6233a-6fdd-4480-8bf4-086790a5bcd6', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-2-man', 'coverage', '2 man', '{"two man"}', NULL, NULL, NULL, 52);
INSERT INTO public.book_term VALUES ('2a65182e-c86a-46a0-a5af-b50f97c13723', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-trap', 'coverage', 'trap', '{"trap 2"}', NULL, NULL, NULL, 53);
INSERT INTO public.book_term VALUES ('8e751e60-8c8f-4fc1-ad3e-6095b89c2dfe', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-deep-middle', 'coverage', 'deep middle', '{"middle runner"}', NULL, NULL, NULL, 54);
INSERT INTO public.book_term VALUES ('692a0082-3bc2-4952-b70d-4fb96cb5b41a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-cover-3', 'coverage', 'cover 3', '{"three deep"}', NULL, NULL, NULL, 55);
INSERT INTO public.book_term VALUES ('9dbf79ed-42ce-4384-b8a2-507377431c38', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-3-match', 'coverage', '3 match', '{"match 3"}', NULL, NULL, NULL, 56);
INSERT INTO public.book_term VALUES ('b402d074-d119-4f1e-94c1-4d89af480d4f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-quarters', 'coverage', 'quarters', '{"cover 4"}', NULL, NULL, NULL, 57);
INSERT INTO public.book_term VALUES ('f71e2a69-cdd9-4926-a1d9-c2215fa4c9f2', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-quarters-match', 'coverage', 'quarters match', '{}', NULL, NULL, NULL, 58);
INSERT INTO public.book_term VALUES ('d055fd08-404b-42d6-b773-1f1afd93f66c', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-cover-6', 'coverage', 'cover 6', '{"quarter quarter half"}', NULL, NULL, NULL, 59);
INSERT INTO public.book_term VALUES ('7f895fd5-967a-4c86-b34a-1f15a12a7da2', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-bracket', 'coverage', 'bracket', '{}', NULL, NULL, NULL, 60);
INSERT INTO public.book_term VALUES ('d291c75e-960d-4170-97cf-5881dc78643a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-fire-zone', 'coverage', 'fire zone', '{"3 under 3 deep"}', NULL, NULL, NULL, 61);
INSERT INTO public.book_term VALUES ('6f9297c7-ae5b-438b-9b2d-82feff039fa1', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'coverage-prevent', 'coverage', 'prevent', '{}', NULL, NULL, NULL, 62);
INSERT INTO public.book_term VALUES ('483dff07-4af8-4e2a-95db-b5d356d1c0ce', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-no-pressure', 'pressure', 'no pressure', '{"base rush"}', NULL, NULL, NULL, 63);
INSERT INTO public.book_term VALUES ('8d641163-affa-44fd-a124-5a401e7e40ab', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-mike-a-pressure', 'pressure', 'mike a pressure', '{"mike a"}', NULL, NULL, NULL, 64);
INSERT INTO public.book_term VALUES ('3979e5ec-ce4d-4218-83ea-d016ebf52dea', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-will-b-pressure', 'pressure', 'will b pressure', '{"will b"}', NULL, NULL, NULL, 65);
INSERT INTO public.book_term VALUES ('d6be97be-8a10-4d6f-a365-817c281b9307', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-double-a-pressure', 'pressure', 'double a pressure', '{"double a"}', NULL, NULL, NULL, 66);
INSERT INTO public.book_term VALUES ('be31e493-98d3-4319-8f85-4bcb3b62a04c', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-field-edge-pressure', 'pressure', 'field edge pressure', '{"field edge"}', NULL, NULL, NULL, 67);
INSERT INTO public.book_term VALUES ('b047a1fd-6af1-4a77-8b64-9fb147b69b23', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-corner-pressure', 'pressure', 'corner pressure', '{"corner blitz"}', NULL, NULL, NULL, 69);
INSERT INTO public.book_term VALUES ('4605dd11-4660-4d5f-bd6d-f32282d0ef2a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-safety-pressure', 'pressure', 'safety pressure', '{"safety blitz"}', NULL, NULL, NULL, 70);
INSERT INTO public.book_term VALUES ('a84ea9be-a513-4673-8aaf-bcdaf3755a70', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-nickel-pressure', 'pressure', 'nickel pressure', '{"nickel blitz"}', NULL, NULL, NULL, 71);
INSERT INTO public.book_term VALUES ('abdced12-05b6-44b3-8a1b-b4edaca3983e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-simulated-pressure', 'pressure', 'simulated pressure', '{sim}', NULL, NULL, NULL, 72);
INSERT INTO public.book_term VALUES ('a909a2a2-22d1-43e7-81e4-af34a35b0fb8', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pressure-creeper', 'pressure', 'creeper', '{}', NULL, NULL, NULL, 73);
INSERT INTO public.book_term VALUES ('213d9b9b-765c-4b1e-8e54-b13ea1d37985', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-inside-zone', 'run', 'inside zone', '{iz}', NULL, NULL, NULL, 74);
INSERT INTO public.book_term VALUES ('30d54645-db74-4929-a6dc-40f08501adf0', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-split-zone', 'run', 'split zone', '{"slice zone"}', NULL, NULL, NULL, 75);
INSERT INTO public.book_term VALUES ('10f06cd1-c059-4bfc-9944-f2aab13fbf6e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-wide-zone', 'run', 'wide zone', '{"outside zone",wz}', NULL, NULL, NULL, 76);
INSERT INTO public.book_term VALUES ('c0aa7a00-da5a-4e5f-9ec1-c9ba36d05cda', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-stretch', 'run', 'stretch', '{}', NULL, NULL, NULL, 77);
INSERT INTO public.book_term VALUES ('e7befa7c-1f2b-49fb-a2be-0e217b81dc3a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-power', 'run', 'power', '{}', NULL, NULL, NULL, 78);
INSERT INTO public.book_term VALUES ('86746e69-121b-4cbb-a26a-3c5398aac8ad', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-counter', 'run', 'counter', '{}', NULL, NULL, NULL, 79);
INSERT INTO public.book_term VALUES ('3982c1b2-869d-47fa-96a1-c5d00601ffe2', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-one-back-power', 'run', 'one-back power', '{}', NULL, NULL, NULL, 80);
INSERT INTO public.book_term VALUES ('d82d5fd7-3f11-4876-83bb-1aa74d8aaf52', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-trap', 'run', 'trap', '{}', NULL, NULL, NULL, 81);
INSERT INTO public.book_term VALUES ('8675083b-f3e6-4d17-bda7-87d6a147110a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-sweep', 'run', 'sweep', '{}', NULL, NULL, NULL, 82);
INSERT INTO public.book_term VALUES ('b7138359-d245-496e-9930-12ee6c423d94', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-pin-and-pull', 'run', 'pin-and-pull', '{"pin and pull"}', NULL, NULL, NULL, 83);
INSERT INTO public.book_term VALUES ('e8bd50d5-2c85-48ca-a478-8759a04f9d77', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-down', 'run', 'down', '{}', NULL, NULL, NULL, 84);
INSERT INTO public.book_term VALUES ('b6bdfeb6-bdd7-4d80-8575-f238d24bcbff', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-dart', 'run', 'dart', '{"tackle wrap"}', NULL, NULL, NULL, 85);
INSERT INTO public.book_term VALUES ('7625bced-c1d3-47b3-93a3-0f875224838e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-iso', 'run', 'iso', '{lead}', NULL, NULL, NULL, 86);
INSERT INTO public.book_term VALUES ('d2fd8724-0572-4464-b50d-a7e568706c24', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-duo', 'run', 'duo', '{}', NULL, NULL, NULL, 87);
INSERT INTO public.book_term VALUES ('17bbec16-9ddd-4c07-b102-7ed9ec65177b', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-toss', 'run', 'toss', '{}', NULL, NULL, NULL, 88);
INSERT INTO public.book_term VALUES ('04ad49c6-d93a-42bf-8fe1-0976e5314f2e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-crack-toss', 'run', 'crack toss', '{}', NULL, NULL, NULL, 89);
INSERT INTO public.book_term VALUES ('bade6ba5-5fd4-4e36-a2a8-4f46319c5756', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-draw', 'run', 'draw', '{}', NULL, NULL, NULL, 90);
INSERT INTO public.book_term VALUES ('ec980556-fcab-4b1b-889d-a479f8cc8e60', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-quarterback-run', 'run', 'quarterback run', '{"qb run"}', NULL, NULL, NULL, 91);
INSERT INTO public.book_term VALUES ('a4df7de7-d7d1-49ae-8d69-63644cf87a0e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-zone-read', 'run', 'zone read', '{}', NULL, NULL, NULL, 92);
INSERT INTO public.book_term VALUES ('eb02a587-7c5d-482f-8363-a7613432dce0', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-power-read', 'run', 'power read', '{}', NULL, NULL, NULL, 93);
INSERT INTO public.book_term VALUES ('38c7a78c-3994-4dbe-ae40-30457c3426e0', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-veer', 'run', 'veer', '{}', NULL, NULL, NULL, 94);
INSERT INTO public.book_term VALUES ('91686150-2d53-49e4-a9f8-72549ed204a5', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-triple-option', 'run', 'triple option', '{triple}', NULL, NULL, NULL, 95);
INSERT INTO public.book_term VALUES ('d6fb0b6c-17be-45a3-b86e-7afb3e7564ed', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-jet', 'run', 'jet', '{"jet sweep"}', NULL, NULL, NULL, 96);
INSERT INTO public.book_term VALUES ('a565cb41-cd77-44ae-9cd7-9e5f0a5d2666', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-reverse', 'run', 'reverse', '{}', NULL, NULL, NULL, 97);
INSERT INTO public.book_term VALUES ('c63fc138-e9e5-4886-95e3-7a40de1a091e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'run-sneak', 'run', 'sneak', '{"quarterback sneak"}', NULL, NULL, NULL, 98);
INSERT INTO public.book_term VALUES ('4a548ff6-97bb-4e8a-a130-b95766585433', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-stick', 'pass', 'stick', '{}', NULL, NULL, NULL, 99);
INSERT INTO public.book_term VALUES ('db46d469-eafe-4bb0-9c40-89f5316b5d9f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-snag', 'pass', 'snag', '{spot}', NULL, NULL, NULL, 100);
INSERT INTO public.book_term VALUES ('d41691e1-062f-4c46-8e79-5b1656499929', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-levels', 'pass', 'levels', '{}', NULL, NULL, NULL, 101);
INSERT INTO public.book_term VALUES ('978e35f0-edea-4ced-b289-47962b92a13c', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-mesh', 'pass', 'mesh', '{}', NULL, NULL, NULL, 102);
INSERT INTO public.book_term VALUES ('4125b537-08c5-4cbf-90c3-5bf3b811f83a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-four-verticals', 'pass', 'four verticals', '{verticals,verts}', NULL, NULL, NULL, 103);
INSERT INTO public.book_term VALUES ('75f311ec-08a6-450a-9f77-546ee29e83cf', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-flood', 'pass', 'flood', '{}', NULL, NULL, NULL, 104);
INSERT INTO public.book_term VALUES ('c045a7d9-f58a-4f2f-bad4-1625651ee8c0', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-smash', 'pass', 'smash', '{}', NULL, NULL, NULL, 105);
INSERT INTO public.book_term VALUES ('a495eadf-1d8a-4cc9-bb90-609eb345a292', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-curl-flat', 'pass', 'curl-flat', '{"curl flat"}', NULL, NULL, NULL, 106);
INSERT INTO public.book_term VALUES ('cf32598e-67a3-4f80-ba78-ce7fbb3ef1da', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-slant-flat', 'pass', 'slant-flat', '{"slant flat"}', NULL, NULL, NULL, 107);
INSERT INTO public.book_term VALUES ('8b5aab57-adfa-44da-8aab-92480c40fba5', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-post-wheel', 'pass', 'post-wheel', '{"post wheel"}', NULL, NULL, NULL, 108);
INSERT INTO public.book_term VALUES ('f6e173b8-af26-4d16-b986-d2e7ac5eed9e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-spacing', 'pass', 'spacing', '{}', NULL, NULL, NULL, 109);
INSERT INTO public.book_term VALUES ('8e175f56-ae15-4fff-a9c4-6b2e008f0e58', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-drive', 'pass', 'drive', '{}', NULL, NULL, NULL, 110);
INSERT INTO public.book_term VALUES ('565626d4-83a6-4583-9ac6-ce26c4824dcc', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-outs', 'pass', 'outs', '{"quick outs"}', NULL, NULL, NULL, 111);
INSERT INTO public.book_term VALUES ('ef569b9b-3c49-4c43-a0e9-f9390c995bf4', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-slants', 'pass', 'slants', '{"double slants"}', NULL, NULL, NULL, 112);
INSERT INTO public.book_term VALUES ('229d6447-3e15-447f-81c6-3f2ff3b2c4d8', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-hitches', 'pass', 'hitches', '{hitch}', NULL, NULL, NULL, 113);
INSERT INTO public.book_term VALUES ('e33b9438-5237-44dd-a881-64d1cb1f4c94', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-boot', 'pass', 'boot', '{naked}', NULL, NULL, NULL, 114);
INSERT INTO public.book_term VALUES ('e5e1535e-8509-4c39-aa83-c54930def610', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-sprint-out', 'pass', 'sprint out', '{sprint}', NULL, NULL, NULL, 115);
INSERT INTO public.book_term VALUES ('bc5d5c7c-09b1-4716-81b4-889e29c7fa64', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-dagger', 'pass', 'dagger', '{}', NULL, NULL, NULL, 116);
INSERT INTO public.book_term VALUES ('4c2191b1-5a59-443b-a282-e01966083abd', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-post', 'pass', 'post', '{}', NULL, NULL, NULL, 117);
INSERT INTO public.book_term VALUES ('5b3facc2-fe7e-4858-8663-0756e69b4511', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-corner', 'pass', 'corner', '{}', NULL, NULL, NULL, 118);
INSERT INTO public.book_term VALUES ('620337fc-f32a-43e3-b5c8-c47f21901c00', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-option-route', 'pass', 'option route', '{}', NULL, NULL, NULL, 119);
INSERT INTO public.book_term VALUES ('b61f3660-ac75-487f-946b-a8d8530dca8f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-angle', 'pass', 'angle', '{}', NULL, NULL, NULL, 120);
INSERT INTO public.book_term VALUES ('0c2d4110-0dd0-41fd-9fbe-6125a251b876', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-bubble', 'pass', 'bubble', '{"bubble screen"}', NULL, NULL, NULL, 121);
INSERT INTO public.book_term VALUES ('7d2c2242-5baa-4e30-9b06-1ba721392df2', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-now-screen', 'pass', 'now screen', '{now}', NULL, NULL, NULL, 122);
INSERT INTO public.book_term VALUES ('3c487226-9357-40e3-a50d-a79beb731ff5', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-tunnel-screen', 'pass', 'tunnel screen', '{tunnel}', NULL, NULL, NULL, 123);
INSERT INTO public.book_term VALUES ('ed2d1033-220b-49a6-9c85-7af3255ddc33', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-slip-screen', 'pass', 'slip screen', '{slip}', NULL, NULL, NULL, 124);
INSERT INTO public.book_term VALUES ('ded95f5f-888f-44b4-8372-f1c3e1f885e1', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-back-screen', 'pass', 'back screen', '{"slow screen"}', NULL, NULL, NULL, 125);
INSERT INTO public.book_term VALUES ('17833ded-3df8-4b71-bc48-9d19d4e8487b', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-double-move', 'pass', 'double move', '{}', NULL, NULL, NULL, 126);
INSERT INTO public.book_term VALUES ('0f8cea80-7de2-4a43-8410-ba3e26875ef5', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'pass-shot', 'pass', 'shot', '{"deep shot"}', NULL, NULL, NULL, 127);
INSERT INTO public.book_term VALUES ('95d7ed5b-cf34-43ae-b9fe-99b2e9d85b5a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'protection-five-man', 'protection', 'five-man', '{"5 man"}', NULL, NULL, NULL, 128);
INSERT INTO public.book_term VALUES ('27bfe28a-42fb-4b90-9616-10a6a32f6c6b', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'protection-half-slide', 'protection', 'half slide', '{half}', NULL, NULL, NULL, 129);
INSERT INTO public.book_term VALUES ('a1798558-989c-4371-95d7-3ae03f209711', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'protection-full-slide', 'protection', 'full slide', '{}', NULL, NULL, NULL, 130);
INSERT INTO public.book_term VALUES ('7bcce66b-db52-4d90-b4ac-7e23403c513e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'protection-big-on-big', 'protection', 'big-on-big', '{bob}', NULL, NULL, NULL, 131);
INSERT INTO public.book_term VALUES ('2b0b230c-752c-4b29-afb0-42e2615446b4', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'protection-six-man', 'protection', 'six-man', '{"6 man"}', NULL, NULL, NULL, 132);
INSERT INTO public.book_term VALUES ('174d4628-d1ab-454f-9366-62693406935f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'protection-max', 'protection', 'max', '{seven-man,"7 man"}', NULL, NULL, NULL, 133);
INSERT INTO public.book_term VALUES ('1288fcf9-5fdf-4a70-a0c5-a2c84f64d63e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'protection-sprint-protection', 'protection', 'sprint protection', '{}', NULL, NULL, NULL, 134);
INSERT INTO public.book_term VALUES ('e2152267-1ec5-465c-ab14-21bf26a86690', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tempo-huddle', 'tempo', 'huddle', '{}', NULL, NULL, NULL, 135);
INSERT INTO public.book_term VALUES ('4bf8d04b-2138-496c-8d2c-2d37d0a2c82d', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tempo-no-huddle', 'tempo', 'no huddle', '{nohuddle}', NULL, NULL, NULL, 136);
INSERT INTO public.book_term VALUES ('da3c5e0a-e1ce-4538-ac9e-41e6da172a01', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tempo-fast', 'tempo', 'fast', '{tempo}', NULL, NULL, NULL, 137);
INSERT INTO public.book_term VALUES ('8c7ee167-f900-437d-a321-1fc25d5c2081', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tempo-look-over', 'tempo', 'look-over', '{"check with sideline"}', NULL, NULL, NULL, 138);
INSERT INTO public.book_term VALUES ('da085c81-ec09-46c5-bdf5-bb142b25f71d', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tempo-freeze', 'tempo', 'freeze', '{"hard count"}', NULL, NULL, NULL, 139);
INSERT INTO public.book_term VALUES ('c6d18d23-9e5a-48d9-84e6-02a8871df7e5', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tag-trick', 'tag', 'trick', '{}', NULL, NULL, NULL, 140);
INSERT INTO public.book_term VALUES ('55eb4693-b5fe-4891-9750-e6525c5195fa', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tag-unbalanced', 'tag', 'unbalanced', '{}', NULL, NULL, NULL, 141);
INSERT INTO public.book_term VALUES ('ad98ac52-e1fb-421f-b6a9-010913fef3e6', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tag-hurry', 'tag', 'hurry', '{}', NULL, NULL, NULL, 142);
INSERT INTO public.book_term VALUES ('514752f7-9dcd-4022-8aa9-eb100f9af48f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tag-busted', 'tag', 'busted', '{bust}', NULL, NULL, NULL, 143);
INSERT INTO public.book_term VALUES ('75b44ab1-26fe-47d7-8ede-1bbd5c96ec1a', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tag-explosive', 'tag', 'explosive', '{}', NULL, NULL, NULL, 144);
INSERT INTO public.book_term VALUES ('ec14d669-95da-4085-93cf-cab534739ebd', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'tag-missed-tackle', 'tag', 'missed tackle', '{}', NULL, NULL, NULL, 145);
INSERT INTO public.book_term VALUES ('0f6f0bad-dd71-4800-adc5-e2721dbf4872', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'rotation-strong', 'rotation', 'strong', '{"to strength"}', 'strong', NULL, NULL, 146);
INSERT INTO public.book_term VALUES ('0b8aa390-4d88-459d-90dc-a53988f940e2', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'rotation-weak', 'rotation', 'weak', '{"away from strength"}', 'weak', NULL, NULL, 147);
INSERT INTO public.book_term VALUES ('9db7e064-df07-4c49-8f56-ca3a0810f07d', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'rotation-to-field', 'rotation', 'to field', '{"field rotation"}', 'field', NULL, NULL, 148);
INSERT INTO public.book_term VALUES ('ad4c4117-ee7c-47e4-a8e1-fc03df844372', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'rotation-to-boundary', 'rotation', 'to boundary', '{"boundary rotation"}', 'boundary', NULL, NULL, 149);
INSERT INTO public.book_term VALUES ('c8e863fc-a6ca-4c84-be53-f7e24aa26254', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'rotation-to-motion', 'rotation', 'to motion', '{}', 'motion', NULL, NULL, 150);

INSERT INTO public.call VALUES ('c5429f32-1d67-4eb1-825d-6c8037d70206', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', '10cb086f-8d33-4dcf-8f37-3d86e29fe7c7', '5f1562b3-ac71-4a7f-89c8-b3c908cf9036', 'first', 1, '7568e442-2705-482a-9741-94bcbf3c69b4', NULL, NULL);

INSERT INTO public.call_sheet VALUES ('10cb086f-8d33-4dcf-8f37-3d86e29fe7c7', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', '467338d6-906b-4a8e-a5e8-c0ea11d0bfe1', 'At Cedar', 'CCC', NULL, '2026-11-20 20:00:00+00');

INSERT INTO public.charting VALUES ('99190638-f55b-4ba9-86a2-fda279bfb306', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', '4b8b3900-902a-463e-a417-c52f39181cc7', '1809fcd7-ccd8-4d9a-81ee-3e81f537c890', 'official', 1, '2026-11-20 20:00:00+00');

INSERT INTO public.game VALUES ('4b8b3900-902a-463e-a417-c52f39181cc7', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'bc6cbb6d-b371-48e2-9b51-c7e80db2d78f', '2026-ccc-aaa', NULL, 1, 'AAA', 'CCC', 'college', 'regular', NULL, NULL, NULL, NULL, false);

INSERT INTO public.member VALUES ('1809fcd7-ccd8-4d9a-81ee-3e81f537c890', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'Kim One', 'kim one', '$argon2id$v=19$m=19456,t=2,p=1$FyakIsrivqMfx7s/tFmG0A$UHgOq0uQRUCSNLv/ijJapcdPD4OsgkSmpjVVpa1fJ34', '{keeper,coordinator}', NULL, '2026-11-20 20:00:00+00');

INSERT INTO public.mikro_orm_migrations VALUES (1, '0001-first', '2026-11-25 22:10:04.327714+00');

INSERT INTO public.play VALUES ('7568e442-2705-482a-9741-94bcbf3c69b4', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', '3fcad0c2-b562-49a9-b40c-532b7df3219b', 'Power', 'run', '11', 'trips', 'R', NULL, NULL, 'power', NULL, 'R');

INSERT INTO public.program VALUES ('8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'Older staff', 'college', 2026, 'AAA', false, 'general terms', '{X,Z,Y,H,F,B,T,Q,S}', '{"week": null, "opponent": null}', '2026-11-20 20:00:00+00');

INSERT INTO public.season VALUES ('bc6cbb6d-b371-48e2-9b51-c7e80db2d78f', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 2026);

INSERT INTO public.session VALUES ('22d39518825bb7a875aa49dc6f7090c9f0d3fb4c8fb749b509d6cfa6917aff39', '1809fcd7-ccd8-4d9a-81ee-3e81f537c890', '2026-11-20 20:00:00+00', '2026-12-04 20:00:00+00');

INSERT INTO public.snap VALUES ('9b4068ee-5b5d-499e-b3f8-275736e59b4e', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', '99190638-f55b-4ba9-86a2-fda279bfb306', 's1', 1, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, '11', NULL, NULL, NULL, 'trips', 'R', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, '4-2 over', NULL, NULL, NULL, NULL, 'run', 'power', NULL, 'R', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, '{}', 'gain', NULL, 6, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, '[]', '{}', NULL, NULL, '{"coverage": {"v": 1, "at": "2026-11-20T20:00:00.000Z", "by": "1809fcd7-ccd8-4d9a-81ee-3e81f537c890", "name": "Kim One", "sure": "sure", "state": "not_visible"}}', '1809fcd7-ccd8-4d9a-81ee-3e81f537c890', '2026-11-20 20:00:00+00', NULL, 1);
INSERT INTO public.snap VALUES ('4f43213f-b165-403d-ac7b-338a4577f2e9', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', '99190638-f55b-4ba9-86a2-fda279bfb306', 's2', 2, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, '12', NULL, NULL, NULL, 'wing', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, '{}', 'gain', NULL, 2, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, '[]', '{trick}', NULL, NULL, '{}', '1809fcd7-ccd8-4d9a-81ee-3e81f537c890', '2026-11-20 20:00:00+00', NULL, 1);

INSERT INTO public.team VALUES ('e8b22cf5-dc38-40db-a95b-074a2eaf38fd', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'AAA', 'Alder', NULL, NULL);
INSERT INTO public.team VALUES ('bfeb3b81-0cca-418c-bdf1-7972d048c883', '8c7ffd05-693c-40fd-a449-63e8ecb84c43', 'CCC', 'Cedar', NULL, NULL);

SELECT pg_catalog.setval('public.mikro_orm_migrations_id_seq', 1, true);

ALTER TABLE ONLY public.book_term
    ADD CONSTRAINT book_term_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.book_term
    ADD CONSTRAINT book_term_program_id_key_unique UNIQUE (program_id, key);

ALTER TABLE ONLY public.call
    ADD CONSTRAINT call_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.call
    ADD CONSTRAINT call_program_id_key_unique UNIQUE (program_id, key);

ALTER TABLE ONLY public.call_sheet
    ADD CONSTRAINT call_sheet_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.call_sheet
    ADD CONSTRAINT call_sheet_program_id_key_unique UNIQUE (program_id, key);

ALTER TABLE ONLY public.charting
    ADD CONSTRAINT charting_game_id_charter_id_kind_unique UNIQUE (game_id, charter_id, kind);

ALTER TABLE ONLY public.charting
    ADD CONSTRAINT charting_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.game
    ADD CONSTRAINT game_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.game
    ADD CONSTRAINT game_program_id_key_unique UNIQUE (program_id, key);

ALTER TABLE ONLY public.member
    ADD CONSTRAINT member_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.member
    ADD CONSTRAINT member_program_id_name_key_unique UNIQUE (program_id, name_key);

ALTER TABLE ONLY public.mikro_orm_migrations
    ADD CONSTRAINT mikro_orm_migrations_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.number_worn
    ADD CONSTRAINT number_worn_game_id_team_unit_number_unique UNIQUE (game_id, team, unit, number);

ALTER TABLE ONLY public.number_worn
    ADD CONSTRAINT number_worn_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.play
    ADD CONSTRAINT play_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.play
    ADD CONSTRAINT play_program_id_key_unique UNIQUE (program_id, key);

ALTER TABLE ONLY public.player
    ADD CONSTRAINT player_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.player
    ADD CONSTRAINT player_program_id_key_unique UNIQUE (program_id, key);

ALTER TABLE ONLY public.program
    ADD CONSTRAINT program_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.roster_entry
    ADD CONSTRAINT roster_entry_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.roster_entry
    ADD CONSTRAINT roster_entry_player_id_team_id_season_id_number_unique UNIQUE (player_id, team_id, season_id, number);

ALTER TABLE ONLY public.season
    ADD CONSTRAINT season_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.season
    ADD CONSTRAINT season_program_id_year_unique UNIQUE (program_id, year);

ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_pkey PRIMARY KEY (token_hash);

ALTER TABLE ONLY public.sign_in_attempt
    ADD CONSTRAINT sign_in_attempt_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.snap
    ADD CONSTRAINT snap_charting_id_snap_key_unique UNIQUE (charting_id, snap_key);

ALTER TABLE ONLY public.snap
    ADD CONSTRAINT snap_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.team
    ADD CONSTRAINT team_pkey PRIMARY KEY (id);

ALTER TABLE ONLY public.team
    ADD CONSTRAINT team_program_id_key_unique UNIQUE (program_id, key);

CREATE INDEX sign_in_attempt_name_key_at_index ON public.sign_in_attempt USING btree (name_key, at);

CREATE INDEX snap_charting_id_revision_index ON public.snap USING btree (charting_id, revision);

ALTER TABLE ONLY public.book_term
    ADD CONSTRAINT book_term_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.call
    ADD CONSTRAINT call_play_id_foreign FOREIGN KEY (play_id) REFERENCES public.play(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.call
    ADD CONSTRAINT call_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.call
    ADD CONSTRAINT call_sheet_id_foreign FOREIGN KEY (sheet_id) REFERENCES public.call_sheet(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.call_sheet
    ADD CONSTRAINT call_sheet_locked_by_id_foreign FOREIGN KEY (locked_by_id) REFERENCES public.member(id) ON UPDATE CASCADE ON DELETE SET NULL;

ALTER TABLE ONLY public.call_sheet
    ADD CONSTRAINT call_sheet_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.charting
    ADD CONSTRAINT charting_charter_id_foreign FOREIGN KEY (charter_id) REFERENCES public.member(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.charting
    ADD CONSTRAINT charting_game_id_foreign FOREIGN KEY (game_id) REFERENCES public.game(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.charting
    ADD CONSTRAINT charting_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.game
    ADD CONSTRAINT game_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.game
    ADD CONSTRAINT game_season_id_foreign FOREIGN KEY (season_id) REFERENCES public.season(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.member
    ADD CONSTRAINT member_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.number_worn
    ADD CONSTRAINT number_worn_game_id_foreign FOREIGN KEY (game_id) REFERENCES public.game(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.number_worn
    ADD CONSTRAINT number_worn_player_id_foreign FOREIGN KEY (player_id) REFERENCES public.player(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.number_worn
    ADD CONSTRAINT number_worn_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.play
    ADD CONSTRAINT play_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.player
    ADD CONSTRAINT player_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.roster_entry
    ADD CONSTRAINT roster_entry_player_id_foreign FOREIGN KEY (player_id) REFERENCES public.player(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.roster_entry
    ADD CONSTRAINT roster_entry_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.roster_entry
    ADD CONSTRAINT roster_entry_season_id_foreign FOREIGN KEY (season_id) REFERENCES public.season(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.roster_entry
    ADD CONSTRAINT roster_entry_team_id_foreign FOREIGN KEY (team_id) REFERENCES public.team(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.season
    ADD CONSTRAINT season_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_member_id_foreign FOREIGN KEY (member_id) REFERENCES public.member(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.snap
    ADD CONSTRAINT snap_charting_id_foreign FOREIGN KEY (charting_id) REFERENCES public.charting(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.snap
    ADD CONSTRAINT snap_created_by_id_foreign FOREIGN KEY (created_by_id) REFERENCES public.member(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.snap
    ADD CONSTRAINT snap_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

ALTER TABLE ONLY public.team
    ADD CONSTRAINT team_program_id_foreign FOREIGN KEY (program_id) REFERENCES public.program(id) ON UPDATE CASCADE;

