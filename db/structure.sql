CREATE TABLE IF NOT EXISTS "schema_migrations" ("version" varchar NOT NULL PRIMARY KEY);
CREATE TABLE IF NOT EXISTS "ar_internal_metadata" ("key" varchar NOT NULL PRIMARY KEY, "value" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL);
CREATE TABLE IF NOT EXISTS "shops" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "zone" varchar NOT NULL, "house" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "units" varchar DEFAULT 'metric' NOT NULL, "scale_g" float DEFAULT 1.0 NOT NULL, "currency" varchar DEFAULT 'EUR' NOT NULL, "goal" varchar DEFAULT 'soonest' NOT NULL, terms json NOT NULL DEFAULT '{}' CHECK (json_valid(terms) AND length(terms) <= 2000), address varchar CHECK (length(address) <= 200), paces json NOT NULL DEFAULT '{}' CHECK (json_valid(paces) AND length(paces) <= 2000), better_plan varchar NOT NULL DEFAULT 'ask' CHECK (better_plan IN ('ask', 'night')), CONSTRAINT house_is_json CHECK (json_valid(house)));
CREATE TABLE IF NOT EXISTS "rooms" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "t_c" float NOT NULL, "rh" float NOT NULL, "air" varchar DEFAULT 'ordinary' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "daily" json, "uses" json DEFAULT '[]' NOT NULL, "rack_places" integer, CONSTRAINT humidity_is_a_percentage CHECK (rh BETWEEN 1 AND 100), CONSTRAINT room_temperature CHECK (t_c BETWEEN -20 AND 60), CONSTRAINT air_is_known CHECK (air IN ('still','ordinary','moving','cabinet')));
CREATE UNIQUE INDEX "index_rooms_on_name" ON "rooms" ("name");
CREATE TABLE IF NOT EXISTS "people" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "at_bench" boolean DEFAULT 1 NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "skills" json, role varchar NOT NULL DEFAULT 'finisher' CHECK (role IN ('owner', 'finisher', 'student')), password_digest varchar, code_digest varchar, own_pieces_only boolean NOT NULL DEFAULT 0, second_secret varchar CHECK (length(second_secret) <= 64), second_used_at integer);
CREATE UNIQUE INDEX "index_people_on_name" ON "people" ("name");
CREATE TABLE IF NOT EXISTS "open_hours" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "person_id" integer, "weekday" integer, "date" date, "opens" varchar, "closes" varchar, CONSTRAINT "fk_rails_7a4821d608"
FOREIGN KEY ("person_id")
  REFERENCES "people" ("id")
, CONSTRAINT weekday_or_date CHECK ((weekday IS NULL) <> (date IS NULL)), CONSTRAINT weekday_range CHECK (weekday IS NULL OR weekday BETWEEN 0 AND 6), CONSTRAINT opens_before_closes CHECK ((opens IS NULL AND closes IS NULL AND date IS NOT NULL) OR (opens < closes)));
CREATE INDEX "index_open_hours_on_person_id" ON "open_hours" ("person_id");
CREATE TABLE IF NOT EXISTS "products" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "code" varchar NOT NULL, "name" varchar NOT NULL, "maker" varchar NOT NULL, "kind" varchar NOT NULL, "role" varchar NOT NULL, "colour" varchar DEFAULT 'clear' NOT NULL, "figures" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "retired_at" datetime(6), CONSTRAINT figures_are_json CHECK (json_valid(figures)), CONSTRAINT colour_is_known CHECK (colour IN ('clear','ambering','tinted','pigmented')));
CREATE UNIQUE INDEX "index_products_on_code" ON "products" ("code");
CREATE UNIQUE INDEX "index_products_on_maker_and_name" ON "products" ("maker", "name");
CREATE TABLE IF NOT EXISTS "jobs" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "client" varchar NOT NULL, "place" varchar, "due_at" datetime(6), "closed_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, place_t_c decimal CHECK (place_t_c BETWEEN -30 AND 60), place_rh decimal CHECK (place_rh BETWEEN 1 AND 99), priority varchar NOT NULL DEFAULT 'normal' CHECK (priority IN ('urgent', 'normal', 'when_time')), CONSTRAINT client_is_named CHECK (length(trim(client)) > 0));
CREATE TABLE IF NOT EXISTS "pieces" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "job_id" integer NOT NULL, "name" varchar NOT NULL, "count" integer DEFAULT 1 NOT NULL, "wood" varchar NOT NULL, "use" varchar, "arris" varchar DEFAULT 'eased_2mm' NOT NULL, "ready_at" varchar DEFAULT 'handle' NOT NULL, "look" varchar, "target_lab" json, "sheen_low" integer, "sheen_high" integer, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "light" varchar DEFAULT 'D65' NOT NULL, pores varchar CHECK (pores IS NULL OR pores IN ('open', 'closed')), wood_like varchar CHECK (length(wood_like) <= 40), sketch json CHECK (sketch IS NULL OR (json_valid(sketch) AND length(sketch) <= 20000)), timber_id integer REFERENCES timbers(id), person_id integer REFERENCES people(id), given_from_id integer REFERENCES pieces(id), put_away_at datetime(6), shop_tools boolean NOT NULL DEFAULT 1, shape varchar CHECK (shape IS NULL OR shape IN ('flat', 'frame', 'profiled', 'turned', 'carved')), priority varchar CHECK (priority IN ('urgent', 'normal', 'when_time')), CONSTRAINT "fk_rails_95a13a68cc"
FOREIGN KEY ("job_id")
  REFERENCES "jobs" ("id")
, CONSTRAINT count_is_positive CHECK (count BETWEEN 1 AND 1000), CONSTRAINT target_is_json CHECK (target_lab IS NULL OR json_valid(target_lab)));
CREATE INDEX "index_pieces_on_job_id" ON "pieces" ("job_id");
CREATE TABLE IF NOT EXISTS "faces" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "piece_id" integer NOT NULL, "name" varchar NOT NULL, "area_m2" float NOT NULL, "grain" varchar NOT NULL, "kind" varchar DEFAULT 'face' NOT NULL, "position" integer DEFAULT 0 NOT NULL, found json CHECK (found IS NULL OR json_valid(found)), shape varchar CHECK (shape IS NULL OR shape IN ('flat', 'frame', 'profiled', 'turned', 'carved')), CONSTRAINT "fk_rails_76c15df47c"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT area_is_positive CHECK (area_m2 > 0 AND area_m2 <= 10000), CONSTRAINT grain_is_known CHECK (grain IN ('closed','semi_open','open','mdf_face','mdf_edge','end_grain')), CONSTRAINT face_kind CHECK (kind IN ('face','back','inside','edges')), CONSTRAINT name_fits_a_key CHECK (instr(name, '/') = 0 AND instr(name, '+') = 0));
CREATE INDEX "index_faces_on_piece_id" ON "faces" ("piece_id");
CREATE UNIQUE INDEX "index_faces_on_piece_id_and_name" ON "faces" ("piece_id", "name");
CREATE TABLE IF NOT EXISTS "cells" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "board_id" integer NOT NULL, "label" varchar NOT NULL, "position" integer NOT NULL, "layers" json DEFAULT '[]' NOT NULL, "ruined" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "run" json, "role" varchar DEFAULT 'run' NOT NULL, CONSTRAINT "fk_rails_d04db06fd5"
FOREIGN KEY ("board_id")
  REFERENCES "boards" ("id")
, CONSTRAINT layers_are_json CHECK (json_valid(layers)));
CREATE INDEX "index_cells_on_board_id" ON "cells" ("board_id");
CREATE UNIQUE INDEX "index_cells_on_board_id_and_label" ON "cells" ("board_id", "label");
CREATE UNIQUE INDEX "index_cells_on_board_id_and_position" ON "cells" ("board_id", "position");
CREATE TABLE IF NOT EXISTS "revisions" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "schedule_id" integer NOT NULL, "number" integer NOT NULL, "parent_id" integer, "document" json NOT NULL, "operation" json NOT NULL, "reason" varchar NOT NULL, "created_at" datetime(6) NOT NULL, person_id integer REFERENCES people(id), CONSTRAINT "fk_rails_afa39d9d4e"
FOREIGN KEY ("schedule_id")
  REFERENCES "schedules" ("id")
, CONSTRAINT "fk_rails_d8b85c6862"
FOREIGN KEY ("parent_id")
  REFERENCES "revisions" ("id")
, CONSTRAINT document_is_json CHECK (json_valid(document)));
CREATE INDEX "index_revisions_on_schedule_id" ON "revisions" ("schedule_id");
CREATE INDEX "index_revisions_on_parent_id" ON "revisions" ("parent_id");
CREATE UNIQUE INDEX "index_revisions_on_schedule_id_and_number" ON "revisions" ("schedule_id", "number");
CREATE TABLE IF NOT EXISTS "schedules" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "piece_id" integer NOT NULL, "from_cell_id" integer, "head_id" bigint, "redo_id" bigint, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, template_version_id integer REFERENCES template_versions(id), CONSTRAINT "fk_rails_54a3e0cca3"
FOREIGN KEY ("head_id")
  REFERENCES "revisions" ("id")
, CONSTRAINT "fk_rails_23aa7f0f97"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT "fk_rails_ef9676ce17"
FOREIGN KEY ("from_cell_id")
  REFERENCES "cells" ("id")
, CONSTRAINT "fk_rails_d2fcecb510"
FOREIGN KEY ("redo_id")
  REFERENCES "revisions" ("id")
);
CREATE UNIQUE INDEX "index_schedules_on_piece_id" ON "schedules" ("piece_id");
CREATE INDEX "index_schedules_on_from_cell_id" ON "schedules" ("from_cell_id");
CREATE TRIGGER revisions_refuse_update BEFORE UPDATE ON revisions
BEGIN SELECT RAISE(ABORT, 'revisions are append-only'); END;
CREATE TRIGGER revisions_refuse_delete BEFORE DELETE ON revisions
BEGIN SELECT RAISE(ABORT, 'revisions are append-only'); END;
CREATE TABLE IF NOT EXISTS "recipes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "components" json NOT NULL, "notes" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT components_are_json CHECK (json_valid(components)));
CREATE UNIQUE INDEX "index_recipes_on_name" ON "recipes" ("name");
CREATE TABLE IF NOT EXISTS "mixes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "product_id" integer, "room_id" integer, "components" json NOT NULL, "want" json NOT NULL, "pass_keys" json DEFAULT '[]' NOT NULL, "resolution_g" float NOT NULL, "container_ml" float, "usable_g" float, "closed_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_7c36a80d2a"
FOREIGN KEY ("product_id")
  REFERENCES "products" ("id")
, CONSTRAINT "fk_rails_c75ed8a076"
FOREIGN KEY ("room_id")
  REFERENCES "rooms" ("id")
, CONSTRAINT mix_is_json CHECK (json_valid(components) AND json_valid(want) AND json_valid(pass_keys)));
CREATE INDEX "index_mixes_on_product_id" ON "mixes" ("product_id");
CREATE INDEX "index_mixes_on_room_id" ON "mixes" ("room_id");
CREATE TABLE IF NOT EXISTS "batches" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "product_id" integer, "mix_id" integer, "name" varchar NOT NULL, "state" varchar NOT NULL, "made_on" date, "opened_on" date, "expires_on" date, "usable_until" datetime(6), "lot" varchar, "boxed" boolean DEFAULT 0 NOT NULL, "kept" boolean DEFAULT 0 NOT NULL, "discarded_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_839f58315e"
FOREIGN KEY ("product_id")
  REFERENCES "products" ("id")
, CONSTRAINT "fk_rails_20f463ab43"
FOREIGN KEY ("mix_id")
  REFERENCES "mixes" ("id")
, CONSTRAINT batch_state CHECK (state IN ('sealed','opened','mixed','catalysed')), CONSTRAINT batch_is_of_something CHECK (product_id IS NOT NULL OR mix_id IS NOT NULL));
CREATE INDEX "index_batches_on_product_id" ON "batches" ("product_id");
CREATE UNIQUE INDEX "index_batches_on_mix_id" ON "batches" ("mix_id");
CREATE TABLE IF NOT EXISTS "stock_moves" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "batch_id" integer NOT NULL, "entry_id" integer, "grams" float NOT NULL, "reason" varchar NOT NULL, "client_id" varchar NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_5b715bbc0f"
FOREIGN KEY ("batch_id")
  REFERENCES "batches" ("id")
, CONSTRAINT "fk_rails_9d7a4bc129"
FOREIGN KEY ("entry_id")
  REFERENCES "entries" ("id")
, CONSTRAINT something_moves CHECK (grams <> 0));
CREATE INDEX "index_stock_moves_on_batch_id" ON "stock_moves" ("batch_id");
CREATE INDEX "index_stock_moves_on_entry_id" ON "stock_moves" ("entry_id");
CREATE UNIQUE INDEX "index_stock_moves_on_client_id" ON "stock_moves" ("client_id");
CREATE TABLE IF NOT EXISTS "consumables" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "unit" varchar NOT NULL, "pack" float DEFAULT 1.0 NOT NULL, "price" float, "left" float DEFAULT 0.0 NOT NULL, "wear" json DEFAULT '[]' NOT NULL, "source" varchar DEFAULT 'estimate' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT wear_is_json CHECK (json_valid(wear)), CONSTRAINT counts_are_counts CHECK (pack > 0 AND "left" >= 0));
CREATE UNIQUE INDEX "index_consumables_on_name" ON "consumables" ("name");
CREATE TRIGGER stock_moves_refuse_update BEFORE UPDATE ON stock_moves BEGIN SELECT RAISE(ABORT, 'stock_moves are append-only'); END;
CREATE TRIGGER stock_moves_refuse_delete BEFORE DELETE ON stock_moves BEGIN SELECT RAISE(ABORT, 'stock_moves are append-only'); END;
CREATE TABLE IF NOT EXISTS "climate_readings" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "room_id" integer NOT NULL, "at" datetime(6) NOT NULL, "until" datetime(6) NOT NULL, "kind" varchar NOT NULL, "t_c" float NOT NULL, "rh" float NOT NULL, "air" varchar DEFAULT 'ordinary' NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_6b3ce3153d"
FOREIGN KEY ("room_id")
  REFERENCES "rooms" ("id")
, CONSTRAINT it_holds_a_while CHECK (at < "until"), CONSTRAINT climate_kind CHECK (kind IN ('logger','forecast','setting')), CONSTRAINT climate_can_be CHECK (rh BETWEEN 1 AND 100 AND t_c BETWEEN -20 AND 60));
CREATE INDEX "index_climate_readings_on_room_id" ON "climate_readings" ("room_id");
CREATE UNIQUE INDEX "index_climate_readings_on_room_id_and_kind_and_at" ON "climate_readings" ("room_id", "kind", "at");
CREATE TABLE IF NOT EXISTS "tools" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "used_for" varchar NOT NULL, "retired_at" datetime(6), CONSTRAINT tool_is_for_a_method CHECK (used_for IN ('spray','brush','roller','wipe','pad')));
CREATE UNIQUE INDEX "index_tools_on_name" ON "tools" ("name");
CREATE TABLE IF NOT EXISTS "trials" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "piece_id" integer, "base" json DEFAULT '[]' NOT NULL, "factors" json DEFAULT '[]' NOT NULL, "design" varchar DEFAULT 'full' NOT NULL, "seed" integer DEFAULT 1 NOT NULL, "shuffled" boolean DEFAULT 0 NOT NULL, "weights" json DEFAULT '{}' NOT NULL, "target_lab" json, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_28ce220deb"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT trial_is_json CHECK (json_valid(base) AND json_valid(factors) AND json_valid(weights)), CONSTRAINT trial_design CHECK (design IN ('full','half','quarter','subset','one_at_a_time')));
CREATE UNIQUE INDEX "index_trials_on_name" ON "trials" ("name");
CREATE INDEX "index_trials_on_piece_id" ON "trials" ("piece_id");
CREATE TABLE IF NOT EXISTS "readings" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "cell_id" integer NOT NULL, "kind" varchar NOT NULL, "value" json NOT NULL, "observer" varchar, "light" varchar, "taken_at" datetime(6) NOT NULL, "client_id" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "instrument" varchar, CONSTRAINT "fk_rails_05a5a4300e"
FOREIGN KEY ("cell_id")
  REFERENCES "cells" ("id")
, CONSTRAINT reading_is_json CHECK (json_valid(value)));
CREATE INDEX "index_readings_on_cell_id" ON "readings" ("cell_id");
CREATE UNIQUE INDEX "index_readings_on_client_id" ON "readings" ("client_id");
CREATE TRIGGER readings_refuse_update BEFORE UPDATE ON readings BEGIN SELECT RAISE(ABORT, 'readings are append-only'); END;
CREATE TRIGGER readings_refuse_delete BEFORE DELETE ON readings BEGIN SELECT RAISE(ABORT, 'readings are append-only'); END;
CREATE TABLE IF NOT EXISTS "pair_picks" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "winner_id" integer NOT NULL, "loser_id" integer NOT NULL, "client_id" varchar NOT NULL, "light" varchar, "observer" varchar, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_0407037c66"
FOREIGN KEY ("winner_id")
  REFERENCES "cells" ("id")
, CONSTRAINT "fk_rails_e2959a92ab"
FOREIGN KEY ("loser_id")
  REFERENCES "cells" ("id")
, CONSTRAINT a_pick_is_of_two CHECK (winner_id <> loser_id));
CREATE INDEX "index_pair_picks_on_winner_id" ON "pair_picks" ("winner_id");
CREATE INDEX "index_pair_picks_on_loser_id" ON "pair_picks" ("loser_id");
CREATE UNIQUE INDEX "index_pair_picks_on_client_id" ON "pair_picks" ("client_id");
CREATE TRIGGER pair_picks_refuse_update BEFORE UPDATE ON pair_picks BEGIN SELECT RAISE(ABORT, 'pair_picks are append-only'); END;
CREATE TRIGGER pair_picks_refuse_delete BEFORE DELETE ON pair_picks BEGIN SELECT RAISE(ABORT, 'pair_picks are append-only'); END;
CREATE TABLE IF NOT EXISTS "active_storage_blobs" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "key" varchar NOT NULL, "filename" varchar NOT NULL, "content_type" varchar, "metadata" text, "service_name" varchar NOT NULL, "byte_size" bigint NOT NULL, "checksum" varchar, "created_at" datetime(6) NOT NULL);
CREATE UNIQUE INDEX "index_active_storage_blobs_on_key" ON "active_storage_blobs" ("key");
CREATE TABLE IF NOT EXISTS "active_storage_attachments" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "record_type" varchar NOT NULL, "record_id" integer NOT NULL, "blob_id" integer NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_c3b3935057"
FOREIGN KEY ("blob_id")
  REFERENCES "active_storage_blobs" ("id")
);
CREATE INDEX "index_active_storage_attachments_on_blob_id" ON "active_storage_attachments" ("blob_id");
CREATE UNIQUE INDEX "index_active_storage_attachments_uniqueness" ON "active_storage_attachments" ("record_type", "record_id", "name", "blob_id");
CREATE TABLE IF NOT EXISTS "photos" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "cell_id" integer, "piece_id" integer, "entry_id" integer, "client_id" varchar NOT NULL, "words" varchar, "light" varchar, "width" integer NOT NULL, "height" integer NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_6dc6f4da2c"
FOREIGN KEY ("cell_id")
  REFERENCES "cells" ("id")
, CONSTRAINT "fk_rails_fb53ad0800"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT "fk_rails_001cff122d"
FOREIGN KEY ("entry_id")
  REFERENCES "entries" ("id")
, CONSTRAINT a_photo_is_of_one_thing CHECK ((cell_id IS NOT NULL) + (piece_id IS NOT NULL) + (entry_id IS NOT NULL) <= 1), CONSTRAINT a_photo_has_a_size CHECK (width > 0 AND height > 0));
CREATE INDEX "index_photos_on_cell_id" ON "photos" ("cell_id");
CREATE INDEX "index_photos_on_piece_id" ON "photos" ("piece_id");
CREATE INDEX "index_photos_on_entry_id" ON "photos" ("entry_id");
CREATE UNIQUE INDEX "index_photos_on_client_id" ON "photos" ("client_id");
CREATE TABLE IF NOT EXISTS "boards" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "piece_id" integer, "wood" varchar NOT NULL, "grain" varchar NOT NULL, "timber_lot" varchar, "width_mm" integer NOT NULL, "height_mm" integer NOT NULL, "margin_mm" integer DEFAULT 10 NOT NULL, "tape_mm" integer DEFAULT 12 NOT NULL, "made_on" date NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "trial_id" integer, "step_strip" boolean DEFAULT 0 NOT NULL, "making_id" integer, CONSTRAINT "fk_rails_8472c7dba9"
FOREIGN KEY ("trial_id")
  REFERENCES "trials" ("id")
, CONSTRAINT "fk_rails_521554dd11"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT "fk_rails_2b17eb6df4"
FOREIGN KEY ("making_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT board_size CHECK (width_mm BETWEEN 50 AND 3000 AND height_mm BETWEEN 50 AND 3000));
CREATE UNIQUE INDEX "index_boards_on_name" ON "boards" ("name");
CREATE INDEX "index_boards_on_piece_id" ON "boards" ("piece_id");
CREATE INDEX "index_boards_on_trial_id" ON "boards" ("trial_id");
CREATE INDEX "index_boards_on_making_id" ON "boards" ("making_id");
CREATE TRIGGER shops_name_length_insert BEFORE INSERT ON shops WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'shops.name is too long'); END;
CREATE TRIGGER shops_name_length_update BEFORE UPDATE ON shops WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'shops.name is too long'); END;
CREATE TRIGGER shops_house_length_insert BEFORE INSERT ON shops WHEN length(NEW.house) > 500000 BEGIN SELECT RAISE(ABORT, 'shops.house is too long'); END;
CREATE TRIGGER shops_house_length_update BEFORE UPDATE ON shops WHEN length(NEW.house) > 500000 BEGIN SELECT RAISE(ABORT, 'shops.house is too long'); END;
CREATE TRIGGER rooms_name_length_insert BEFORE INSERT ON rooms WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'rooms.name is too long'); END;
CREATE TRIGGER rooms_name_length_update BEFORE UPDATE ON rooms WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'rooms.name is too long'); END;
CREATE TRIGGER rooms_daily_length_insert BEFORE INSERT ON rooms WHEN length(NEW.daily) > 500000 BEGIN SELECT RAISE(ABORT, 'rooms.daily is too long'); END;
CREATE TRIGGER rooms_daily_length_update BEFORE UPDATE ON rooms WHEN length(NEW.daily) > 500000 BEGIN SELECT RAISE(ABORT, 'rooms.daily is too long'); END;
CREATE TRIGGER people_name_length_insert BEFORE INSERT ON people WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'people.name is too long'); END;
CREATE TRIGGER people_name_length_update BEFORE UPDATE ON people WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'people.name is too long'); END;
CREATE TRIGGER people_skills_length_insert BEFORE INSERT ON people WHEN length(NEW.skills) > 500000 BEGIN SELECT RAISE(ABORT, 'people.skills is too long'); END;
CREATE TRIGGER people_skills_length_update BEFORE UPDATE ON people WHEN length(NEW.skills) > 500000 BEGIN SELECT RAISE(ABORT, 'people.skills is too long'); END;
CREATE TRIGGER tools_name_length_insert BEFORE INSERT ON tools WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'tools.name is too long'); END;
CREATE TRIGGER tools_name_length_update BEFORE UPDATE ON tools WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'tools.name is too long'); END;
CREATE TRIGGER products_code_length_insert BEFORE INSERT ON products WHEN length(NEW.code) > 200 BEGIN SELECT RAISE(ABORT, 'products.code is too long'); END;
CREATE TRIGGER products_code_length_update BEFORE UPDATE ON products WHEN length(NEW.code) > 200 BEGIN SELECT RAISE(ABORT, 'products.code is too long'); END;
CREATE TRIGGER products_name_length_insert BEFORE INSERT ON products WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'products.name is too long'); END;
CREATE TRIGGER products_name_length_update BEFORE UPDATE ON products WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'products.name is too long'); END;
CREATE TRIGGER products_maker_length_insert BEFORE INSERT ON products WHEN length(NEW.maker) > 200 BEGIN SELECT RAISE(ABORT, 'products.maker is too long'); END;
CREATE TRIGGER products_maker_length_update BEFORE UPDATE ON products WHEN length(NEW.maker) > 200 BEGIN SELECT RAISE(ABORT, 'products.maker is too long'); END;
CREATE TRIGGER products_role_length_insert BEFORE INSERT ON products WHEN length(NEW.role) > 200 BEGIN SELECT RAISE(ABORT, 'products.role is too long'); END;
CREATE TRIGGER products_role_length_update BEFORE UPDATE ON products WHEN length(NEW.role) > 200 BEGIN SELECT RAISE(ABORT, 'products.role is too long'); END;
CREATE TRIGGER products_figures_length_insert BEFORE INSERT ON products WHEN length(NEW.figures) > 500000 BEGIN SELECT RAISE(ABORT, 'products.figures is too long'); END;
CREATE TRIGGER products_figures_length_update BEFORE UPDATE ON products WHEN length(NEW.figures) > 500000 BEGIN SELECT RAISE(ABORT, 'products.figures is too long'); END;
CREATE TRIGGER jobs_client_length_insert BEFORE INSERT ON jobs WHEN length(NEW.client) > 200 BEGIN SELECT RAISE(ABORT, 'jobs.client is too long'); END;
CREATE TRIGGER jobs_client_length_update BEFORE UPDATE ON jobs WHEN length(NEW.client) > 200 BEGIN SELECT RAISE(ABORT, 'jobs.client is too long'); END;
CREATE TRIGGER jobs_place_length_insert BEFORE INSERT ON jobs WHEN length(NEW.place) > 2000 BEGIN SELECT RAISE(ABORT, 'jobs.place is too long'); END;
CREATE TRIGGER jobs_place_length_update BEFORE UPDATE ON jobs WHEN length(NEW.place) > 2000 BEGIN SELECT RAISE(ABORT, 'jobs.place is too long'); END;
CREATE TRIGGER pieces_name_length_insert BEFORE INSERT ON pieces WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'pieces.name is too long'); END;
CREATE TRIGGER pieces_name_length_update BEFORE UPDATE ON pieces WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'pieces.name is too long'); END;
CREATE TRIGGER pieces_wood_length_insert BEFORE INSERT ON pieces WHEN length(NEW.wood) > 200 BEGIN SELECT RAISE(ABORT, 'pieces.wood is too long'); END;
CREATE TRIGGER pieces_wood_length_update BEFORE UPDATE ON pieces WHEN length(NEW.wood) > 200 BEGIN SELECT RAISE(ABORT, 'pieces.wood is too long'); END;
CREATE TRIGGER pieces_look_length_insert BEFORE INSERT ON pieces WHEN length(NEW.look) > 2000 BEGIN SELECT RAISE(ABORT, 'pieces.look is too long'); END;
CREATE TRIGGER pieces_look_length_update BEFORE UPDATE ON pieces WHEN length(NEW.look) > 2000 BEGIN SELECT RAISE(ABORT, 'pieces.look is too long'); END;
CREATE TRIGGER faces_name_length_insert BEFORE INSERT ON faces WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'faces.name is too long'); END;
CREATE TRIGGER faces_name_length_update BEFORE UPDATE ON faces WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'faces.name is too long'); END;
CREATE TRIGGER revisions_document_length_insert BEFORE INSERT ON revisions WHEN length(NEW.document) > 500000 BEGIN SELECT RAISE(ABORT, 'revisions.document is too long'); END;
CREATE TRIGGER revisions_document_length_update BEFORE UPDATE ON revisions WHEN length(NEW.document) > 500000 BEGIN SELECT RAISE(ABORT, 'revisions.document is too long'); END;
CREATE TRIGGER revisions_operation_length_insert BEFORE INSERT ON revisions WHEN length(NEW.operation) > 500000 BEGIN SELECT RAISE(ABORT, 'revisions.operation is too long'); END;
CREATE TRIGGER revisions_operation_length_update BEFORE UPDATE ON revisions WHEN length(NEW.operation) > 500000 BEGIN SELECT RAISE(ABORT, 'revisions.operation is too long'); END;
CREATE TRIGGER revisions_reason_length_insert BEFORE INSERT ON revisions WHEN length(NEW.reason) > 2000 BEGIN SELECT RAISE(ABORT, 'revisions.reason is too long'); END;
CREATE TRIGGER revisions_reason_length_update BEFORE UPDATE ON revisions WHEN length(NEW.reason) > 2000 BEGIN SELECT RAISE(ABORT, 'revisions.reason is too long'); END;
CREATE TRIGGER boards_name_length_insert BEFORE INSERT ON boards WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'boards.name is too long'); END;
CREATE TRIGGER boards_name_length_update BEFORE UPDATE ON boards WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'boards.name is too long'); END;
CREATE TRIGGER boards_wood_length_insert BEFORE INSERT ON boards WHEN length(NEW.wood) > 200 BEGIN SELECT RAISE(ABORT, 'boards.wood is too long'); END;
CREATE TRIGGER boards_wood_length_update BEFORE UPDATE ON boards WHEN length(NEW.wood) > 200 BEGIN SELECT RAISE(ABORT, 'boards.wood is too long'); END;
CREATE TRIGGER boards_timber_lot_length_insert BEFORE INSERT ON boards WHEN length(NEW.timber_lot) > 200 BEGIN SELECT RAISE(ABORT, 'boards.timber_lot is too long'); END;
CREATE TRIGGER boards_timber_lot_length_update BEFORE UPDATE ON boards WHEN length(NEW.timber_lot) > 200 BEGIN SELECT RAISE(ABORT, 'boards.timber_lot is too long'); END;
CREATE TRIGGER cells_label_length_insert BEFORE INSERT ON cells WHEN length(NEW.label) > 200 BEGIN SELECT RAISE(ABORT, 'cells.label is too long'); END;
CREATE TRIGGER cells_label_length_update BEFORE UPDATE ON cells WHEN length(NEW.label) > 200 BEGIN SELECT RAISE(ABORT, 'cells.label is too long'); END;
CREATE TRIGGER cells_layers_length_insert BEFORE INSERT ON cells WHEN length(NEW.layers) > 500000 BEGIN SELECT RAISE(ABORT, 'cells.layers is too long'); END;
CREATE TRIGGER cells_layers_length_update BEFORE UPDATE ON cells WHEN length(NEW.layers) > 500000 BEGIN SELECT RAISE(ABORT, 'cells.layers is too long'); END;
CREATE TRIGGER cells_ruined_length_insert BEFORE INSERT ON cells WHEN length(NEW.ruined) > 2000 BEGIN SELECT RAISE(ABORT, 'cells.ruined is too long'); END;
CREATE TRIGGER cells_ruined_length_update BEFORE UPDATE ON cells WHEN length(NEW.ruined) > 2000 BEGIN SELECT RAISE(ABORT, 'cells.ruined is too long'); END;
CREATE TRIGGER readings_client_id_length_insert BEFORE INSERT ON readings WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'readings.client_id is too long'); END;
CREATE TRIGGER readings_client_id_length_update BEFORE UPDATE ON readings WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'readings.client_id is too long'); END;
CREATE TRIGGER readings_kind_length_insert BEFORE INSERT ON readings WHEN length(NEW.kind) > 200 BEGIN SELECT RAISE(ABORT, 'readings.kind is too long'); END;
CREATE TRIGGER readings_kind_length_update BEFORE UPDATE ON readings WHEN length(NEW.kind) > 200 BEGIN SELECT RAISE(ABORT, 'readings.kind is too long'); END;
CREATE TRIGGER readings_value_length_insert BEFORE INSERT ON readings WHEN length(NEW.value) > 500000 BEGIN SELECT RAISE(ABORT, 'readings.value is too long'); END;
CREATE TRIGGER readings_value_length_update BEFORE UPDATE ON readings WHEN length(NEW.value) > 500000 BEGIN SELECT RAISE(ABORT, 'readings.value is too long'); END;
CREATE TRIGGER readings_observer_length_insert BEFORE INSERT ON readings WHEN length(NEW.observer) > 200 BEGIN SELECT RAISE(ABORT, 'readings.observer is too long'); END;
CREATE TRIGGER readings_observer_length_update BEFORE UPDATE ON readings WHEN length(NEW.observer) > 200 BEGIN SELECT RAISE(ABORT, 'readings.observer is too long'); END;
CREATE TRIGGER readings_light_length_insert BEFORE INSERT ON readings WHEN length(NEW.light) > 200 BEGIN SELECT RAISE(ABORT, 'readings.light is too long'); END;
CREATE TRIGGER readings_light_length_update BEFORE UPDATE ON readings WHEN length(NEW.light) > 200 BEGIN SELECT RAISE(ABORT, 'readings.light is too long'); END;
CREATE TRIGGER readings_instrument_length_insert BEFORE INSERT ON readings WHEN length(NEW.instrument) > 200 BEGIN SELECT RAISE(ABORT, 'readings.instrument is too long'); END;
CREATE TRIGGER readings_instrument_length_update BEFORE UPDATE ON readings WHEN length(NEW.instrument) > 200 BEGIN SELECT RAISE(ABORT, 'readings.instrument is too long'); END;
CREATE TRIGGER pair_picks_client_id_length_insert BEFORE INSERT ON pair_picks WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'pair_picks.client_id is too long'); END;
CREATE TRIGGER pair_picks_client_id_length_update BEFORE UPDATE ON pair_picks WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'pair_picks.client_id is too long'); END;
CREATE TRIGGER pair_picks_light_length_insert BEFORE INSERT ON pair_picks WHEN length(NEW.light) > 200 BEGIN SELECT RAISE(ABORT, 'pair_picks.light is too long'); END;
CREATE TRIGGER pair_picks_light_length_update BEFORE UPDATE ON pair_picks WHEN length(NEW.light) > 200 BEGIN SELECT RAISE(ABORT, 'pair_picks.light is too long'); END;
CREATE TRIGGER pair_picks_observer_length_insert BEFORE INSERT ON pair_picks WHEN length(NEW.observer) > 200 BEGIN SELECT RAISE(ABORT, 'pair_picks.observer is too long'); END;
CREATE TRIGGER pair_picks_observer_length_update BEFORE UPDATE ON pair_picks WHEN length(NEW.observer) > 200 BEGIN SELECT RAISE(ABORT, 'pair_picks.observer is too long'); END;
CREATE TRIGGER trials_name_length_insert BEFORE INSERT ON trials WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'trials.name is too long'); END;
CREATE TRIGGER trials_name_length_update BEFORE UPDATE ON trials WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'trials.name is too long'); END;
CREATE TRIGGER trials_base_length_insert BEFORE INSERT ON trials WHEN length(NEW.base) > 500000 BEGIN SELECT RAISE(ABORT, 'trials.base is too long'); END;
CREATE TRIGGER trials_base_length_update BEFORE UPDATE ON trials WHEN length(NEW.base) > 500000 BEGIN SELECT RAISE(ABORT, 'trials.base is too long'); END;
CREATE TRIGGER trials_factors_length_insert BEFORE INSERT ON trials WHEN length(NEW.factors) > 500000 BEGIN SELECT RAISE(ABORT, 'trials.factors is too long'); END;
CREATE TRIGGER trials_factors_length_update BEFORE UPDATE ON trials WHEN length(NEW.factors) > 500000 BEGIN SELECT RAISE(ABORT, 'trials.factors is too long'); END;
CREATE TRIGGER recipes_name_length_insert BEFORE INSERT ON recipes WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'recipes.name is too long'); END;
CREATE TRIGGER recipes_name_length_update BEFORE UPDATE ON recipes WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'recipes.name is too long'); END;
CREATE TRIGGER recipes_components_length_insert BEFORE INSERT ON recipes WHEN length(NEW.components) > 500000 BEGIN SELECT RAISE(ABORT, 'recipes.components is too long'); END;
CREATE TRIGGER recipes_components_length_update BEFORE UPDATE ON recipes WHEN length(NEW.components) > 500000 BEGIN SELECT RAISE(ABORT, 'recipes.components is too long'); END;
CREATE TRIGGER recipes_notes_length_insert BEFORE INSERT ON recipes WHEN length(NEW.notes) > 2000 BEGIN SELECT RAISE(ABORT, 'recipes.notes is too long'); END;
CREATE TRIGGER recipes_notes_length_update BEFORE UPDATE ON recipes WHEN length(NEW.notes) > 2000 BEGIN SELECT RAISE(ABORT, 'recipes.notes is too long'); END;
CREATE TRIGGER mixes_name_length_insert BEFORE INSERT ON mixes WHEN length(NEW.name) > 2000 BEGIN SELECT RAISE(ABORT, 'mixes.name is too long'); END;
CREATE TRIGGER mixes_name_length_update BEFORE UPDATE ON mixes WHEN length(NEW.name) > 2000 BEGIN SELECT RAISE(ABORT, 'mixes.name is too long'); END;
CREATE TRIGGER mixes_components_length_insert BEFORE INSERT ON mixes WHEN length(NEW.components) > 500000 BEGIN SELECT RAISE(ABORT, 'mixes.components is too long'); END;
CREATE TRIGGER mixes_components_length_update BEFORE UPDATE ON mixes WHEN length(NEW.components) > 500000 BEGIN SELECT RAISE(ABORT, 'mixes.components is too long'); END;
CREATE TRIGGER batches_name_length_insert BEFORE INSERT ON batches WHEN length(NEW.name) > 2000 BEGIN SELECT RAISE(ABORT, 'batches.name is too long'); END;
CREATE TRIGGER batches_name_length_update BEFORE UPDATE ON batches WHEN length(NEW.name) > 2000 BEGIN SELECT RAISE(ABORT, 'batches.name is too long'); END;
CREATE TRIGGER batches_lot_length_insert BEFORE INSERT ON batches WHEN length(NEW.lot) > 200 BEGIN SELECT RAISE(ABORT, 'batches.lot is too long'); END;
CREATE TRIGGER batches_lot_length_update BEFORE UPDATE ON batches WHEN length(NEW.lot) > 200 BEGIN SELECT RAISE(ABORT, 'batches.lot is too long'); END;
CREATE TRIGGER stock_moves_client_id_length_insert BEFORE INSERT ON stock_moves WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'stock_moves.client_id is too long'); END;
CREATE TRIGGER stock_moves_client_id_length_update BEFORE UPDATE ON stock_moves WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'stock_moves.client_id is too long'); END;
CREATE TRIGGER stock_moves_reason_length_insert BEFORE INSERT ON stock_moves WHEN length(NEW.reason) > 2000 BEGIN SELECT RAISE(ABORT, 'stock_moves.reason is too long'); END;
CREATE TRIGGER stock_moves_reason_length_update BEFORE UPDATE ON stock_moves WHEN length(NEW.reason) > 2000 BEGIN SELECT RAISE(ABORT, 'stock_moves.reason is too long'); END;
CREATE TRIGGER consumables_name_length_insert BEFORE INSERT ON consumables WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'consumables.name is too long'); END;
CREATE TRIGGER consumables_name_length_update BEFORE UPDATE ON consumables WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'consumables.name is too long'); END;
CREATE TRIGGER consumables_unit_length_insert BEFORE INSERT ON consumables WHEN length(NEW.unit) > 200 BEGIN SELECT RAISE(ABORT, 'consumables.unit is too long'); END;
CREATE TRIGGER consumables_unit_length_update BEFORE UPDATE ON consumables WHEN length(NEW.unit) > 200 BEGIN SELECT RAISE(ABORT, 'consumables.unit is too long'); END;
CREATE TRIGGER consumables_wear_length_insert BEFORE INSERT ON consumables WHEN length(NEW.wear) > 500000 BEGIN SELECT RAISE(ABORT, 'consumables.wear is too long'); END;
CREATE TRIGGER consumables_wear_length_update BEFORE UPDATE ON consumables WHEN length(NEW.wear) > 500000 BEGIN SELECT RAISE(ABORT, 'consumables.wear is too long'); END;
CREATE TRIGGER photos_client_id_length_insert BEFORE INSERT ON photos WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'photos.client_id is too long'); END;
CREATE TRIGGER photos_client_id_length_update BEFORE UPDATE ON photos WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'photos.client_id is too long'); END;
CREATE TRIGGER photos_words_length_insert BEFORE INSERT ON photos WHEN length(NEW.words) > 2000 BEGIN SELECT RAISE(ABORT, 'photos.words is too long'); END;
CREATE TRIGGER photos_words_length_update BEFORE UPDATE ON photos WHEN length(NEW.words) > 2000 BEGIN SELECT RAISE(ABORT, 'photos.words is too long'); END;
CREATE TABLE IF NOT EXISTS "marks" ("name" varchar NOT NULL PRIMARY KEY, "mark" integer(8) NOT NULL);
CREATE TRIGGER shops_mark_insert AFTER INSERT ON shops
BEGIN
  INSERT INTO marks (name, mark) VALUES ('shops', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER shops_mark_update AFTER UPDATE ON shops
BEGIN
  INSERT INTO marks (name, mark) VALUES ('shops', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER shops_mark_delete AFTER DELETE ON shops
BEGIN
  INSERT INTO marks (name, mark) VALUES ('shops', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER people_mark_insert AFTER INSERT ON people
BEGIN
  INSERT INTO marks (name, mark) VALUES ('people', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER people_mark_update AFTER UPDATE ON people
BEGIN
  INSERT INTO marks (name, mark) VALUES ('people', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER people_mark_delete AFTER DELETE ON people
BEGIN
  INSERT INTO marks (name, mark) VALUES ('people', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER open_hours_mark_insert AFTER INSERT ON open_hours
BEGIN
  INSERT INTO marks (name, mark) VALUES ('open_hours', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER open_hours_mark_update AFTER UPDATE ON open_hours
BEGIN
  INSERT INTO marks (name, mark) VALUES ('open_hours', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER open_hours_mark_delete AFTER DELETE ON open_hours
BEGIN
  INSERT INTO marks (name, mark) VALUES ('open_hours', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER rooms_mark_insert AFTER INSERT ON rooms
BEGIN
  INSERT INTO marks (name, mark) VALUES ('rooms', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER rooms_mark_update AFTER UPDATE ON rooms
BEGIN
  INSERT INTO marks (name, mark) VALUES ('rooms', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER rooms_mark_delete AFTER DELETE ON rooms
BEGIN
  INSERT INTO marks (name, mark) VALUES ('rooms', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER climate_readings_mark_insert AFTER INSERT ON climate_readings
BEGIN
  INSERT INTO marks (name, mark) VALUES ('climate_readings', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER climate_readings_mark_update AFTER UPDATE ON climate_readings
BEGIN
  INSERT INTO marks (name, mark) VALUES ('climate_readings', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER climate_readings_mark_delete AFTER DELETE ON climate_readings
BEGIN
  INSERT INTO marks (name, mark) VALUES ('climate_readings', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER tools_mark_insert AFTER INSERT ON tools
BEGIN
  INSERT INTO marks (name, mark) VALUES ('tools', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER tools_mark_update AFTER UPDATE ON tools
BEGIN
  INSERT INTO marks (name, mark) VALUES ('tools', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER tools_mark_delete AFTER DELETE ON tools
BEGIN
  INSERT INTO marks (name, mark) VALUES ('tools', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER products_mark_insert AFTER INSERT ON products
BEGIN
  INSERT INTO marks (name, mark) VALUES ('products', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER products_mark_update AFTER UPDATE ON products
BEGIN
  INSERT INTO marks (name, mark) VALUES ('products', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER products_mark_delete AFTER DELETE ON products
BEGIN
  INSERT INTO marks (name, mark) VALUES ('products', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER consumables_mark_insert AFTER INSERT ON consumables
BEGIN
  INSERT INTO marks (name, mark) VALUES ('consumables', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER consumables_mark_update AFTER UPDATE ON consumables
BEGIN
  INSERT INTO marks (name, mark) VALUES ('consumables', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER consumables_mark_delete AFTER DELETE ON consumables
BEGIN
  INSERT INTO marks (name, mark) VALUES ('consumables', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER boards_mark_insert AFTER INSERT ON boards
BEGIN
  INSERT INTO marks (name, mark) VALUES ('boards', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER boards_mark_update AFTER UPDATE ON boards
BEGIN
  INSERT INTO marks (name, mark) VALUES ('boards', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER boards_mark_delete AFTER DELETE ON boards
BEGIN
  INSERT INTO marks (name, mark) VALUES ('boards', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER cells_mark_insert AFTER INSERT ON cells
BEGIN
  INSERT INTO marks (name, mark) VALUES ('cells', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER cells_mark_update AFTER UPDATE ON cells
BEGIN
  INSERT INTO marks (name, mark) VALUES ('cells', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER cells_mark_delete AFTER DELETE ON cells
BEGIN
  INSERT INTO marks (name, mark) VALUES ('cells', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER readings_mark_insert AFTER INSERT ON readings
BEGIN
  INSERT INTO marks (name, mark) VALUES ('readings', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER readings_mark_update AFTER UPDATE ON readings
BEGIN
  INSERT INTO marks (name, mark) VALUES ('readings', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER readings_mark_delete AFTER DELETE ON readings
BEGIN
  INSERT INTO marks (name, mark) VALUES ('readings', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER jobs_mark_insert AFTER INSERT ON jobs
BEGIN
  INSERT INTO marks (name, mark) VALUES ('jobs', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER jobs_mark_update AFTER UPDATE ON jobs
BEGIN
  INSERT INTO marks (name, mark) VALUES ('jobs', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER jobs_mark_delete AFTER DELETE ON jobs
BEGIN
  INSERT INTO marks (name, mark) VALUES ('jobs', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER pieces_mark_insert AFTER INSERT ON pieces
BEGIN
  INSERT INTO marks (name, mark) VALUES ('pieces', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER pieces_mark_update AFTER UPDATE ON pieces
BEGIN
  INSERT INTO marks (name, mark) VALUES ('pieces', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER pieces_mark_delete AFTER DELETE ON pieces
BEGIN
  INSERT INTO marks (name, mark) VALUES ('pieces', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER faces_mark_insert AFTER INSERT ON faces
BEGIN
  INSERT INTO marks (name, mark) VALUES ('faces', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER faces_mark_update AFTER UPDATE ON faces
BEGIN
  INSERT INTO marks (name, mark) VALUES ('faces', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER faces_mark_delete AFTER DELETE ON faces
BEGIN
  INSERT INTO marks (name, mark) VALUES ('faces', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER batches_mark_insert AFTER INSERT ON batches
BEGIN
  INSERT INTO marks (name, mark) VALUES ('batches', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER batches_mark_update AFTER UPDATE ON batches
BEGIN
  INSERT INTO marks (name, mark) VALUES ('batches', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER batches_mark_delete AFTER DELETE ON batches
BEGIN
  INSERT INTO marks (name, mark) VALUES ('batches', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER stock_moves_mark_insert AFTER INSERT ON stock_moves
BEGIN
  INSERT INTO marks (name, mark) VALUES ('stock_moves', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER stock_moves_mark_update AFTER UPDATE ON stock_moves
BEGIN
  INSERT INTO marks (name, mark) VALUES ('stock_moves', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER stock_moves_mark_delete AFTER DELETE ON stock_moves
BEGIN
  INSERT INTO marks (name, mark) VALUES ('stock_moves', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER mixes_mark_insert AFTER INSERT ON mixes
BEGIN
  INSERT INTO marks (name, mark) VALUES ('mixes', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER mixes_mark_update AFTER UPDATE ON mixes
BEGIN
  INSERT INTO marks (name, mark) VALUES ('mixes', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER mixes_mark_delete AFTER DELETE ON mixes
BEGIN
  INSERT INTO marks (name, mark) VALUES ('mixes', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER faces_found_length_insert BEFORE INSERT ON faces WHEN length(NEW.found) > 2000
BEGIN SELECT RAISE(ABORT, 'faces.found is too long'); END;
CREATE TRIGGER faces_found_length_update BEFORE UPDATE ON faces WHEN length(NEW.found) > 2000
BEGIN SELECT RAISE(ABORT, 'faces.found is too long'); END;
CREATE TABLE IF NOT EXISTS "timbers" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "wood" varchar NOT NULL, "facts" json DEFAULT '{}' NOT NULL, "words" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT facts_are_json CHECK (json_valid(facts)));
CREATE UNIQUE INDEX "index_timbers_on_name" ON "timbers" ("name");
CREATE TRIGGER timbers_name_length_insert BEFORE INSERT ON timbers WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'timbers.name is too long'); END;
CREATE TRIGGER timbers_name_length_update BEFORE UPDATE ON timbers WHEN length(NEW.name) > 200 BEGIN SELECT RAISE(ABORT, 'timbers.name is too long'); END;
CREATE TRIGGER timbers_wood_length_insert BEFORE INSERT ON timbers WHEN length(NEW.wood) > 200 BEGIN SELECT RAISE(ABORT, 'timbers.wood is too long'); END;
CREATE TRIGGER timbers_wood_length_update BEFORE UPDATE ON timbers WHEN length(NEW.wood) > 200 BEGIN SELECT RAISE(ABORT, 'timbers.wood is too long'); END;
CREATE TRIGGER timbers_words_length_insert BEFORE INSERT ON timbers WHEN length(NEW.words) > 2000 BEGIN SELECT RAISE(ABORT, 'timbers.words is too long'); END;
CREATE TRIGGER timbers_words_length_update BEFORE UPDATE ON timbers WHEN length(NEW.words) > 2000 BEGIN SELECT RAISE(ABORT, 'timbers.words is too long'); END;
CREATE TRIGGER timbers_facts_length_insert BEFORE INSERT ON timbers WHEN length(NEW.facts) > 2000 BEGIN SELECT RAISE(ABORT, 'timbers.facts is too long'); END;
CREATE TRIGGER timbers_facts_length_update BEFORE UPDATE ON timbers WHEN length(NEW.facts) > 2000 BEGIN SELECT RAISE(ABORT, 'timbers.facts is too long'); END;
CREATE TRIGGER timbers_mark_insert AFTER INSERT ON timbers BEGIN INSERT INTO marks (name, mark) VALUES ('timbers', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END;
CREATE TRIGGER timbers_mark_update AFTER UPDATE ON timbers BEGIN INSERT INTO marks (name, mark) VALUES ('timbers', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END;
CREATE TRIGGER timbers_mark_delete AFTER DELETE ON timbers BEGIN INSERT INTO marks (name, mark) VALUES ('timbers', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END;
CREATE INDEX "index_pieces_on_timber_id" ON "pieces" ("timber_id");
CREATE TABLE IF NOT EXISTS "templates" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL);
CREATE UNIQUE INDEX "index_templates_on_name" ON "templates" ("name");
CREATE TABLE IF NOT EXISTS "template_versions" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "template_id" integer NOT NULL, "number" integer NOT NULL, "document" json NOT NULL, "reason" varchar NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_7eb02752f3"
FOREIGN KEY ("template_id")
  REFERENCES "templates" ("id")
, CONSTRAINT template_document_is_json CHECK (json_valid(document)), CONSTRAINT template_version_number CHECK (number > 0));
CREATE UNIQUE INDEX "index_template_versions_on_template_id_and_number" ON "template_versions" ("template_id", "number");
CREATE TABLE IF NOT EXISTS "given_quotes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "piece_id" integer NOT NULL, "figures" json NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_f5eb824ba6"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT given_quote_is_json CHECK (json_valid(figures)));
CREATE INDEX "index_given_quotes_on_piece_id" ON "given_quotes" ("piece_id");
CREATE TRIGGER template_versions_refuse_update BEFORE UPDATE ON template_versions BEGIN SELECT RAISE(ABORT, 'template_versions are never rewritten'); END;
CREATE TRIGGER given_quotes_refuse_update BEFORE UPDATE ON given_quotes BEGIN SELECT RAISE(ABORT, 'given_quotes are never rewritten'); END;
CREATE TRIGGER templates_name_length_insert BEFORE INSERT ON templates WHEN length(NEW.name) > 80 BEGIN SELECT RAISE(ABORT, 'templates.name is too long'); END;
CREATE TRIGGER templates_name_length_update BEFORE UPDATE ON templates WHEN length(NEW.name) > 80 BEGIN SELECT RAISE(ABORT, 'templates.name is too long'); END;
CREATE TRIGGER template_versions_document_length_insert BEFORE INSERT ON template_versions WHEN length(NEW.document) > 500000 BEGIN SELECT RAISE(ABORT, 'template_versions.document is too long'); END;
CREATE TRIGGER template_versions_document_length_update BEFORE UPDATE ON template_versions WHEN length(NEW.document) > 500000 BEGIN SELECT RAISE(ABORT, 'template_versions.document is too long'); END;
CREATE TRIGGER template_versions_reason_length_insert BEFORE INSERT ON template_versions WHEN length(NEW.reason) > 2000 BEGIN SELECT RAISE(ABORT, 'template_versions.reason is too long'); END;
CREATE TRIGGER template_versions_reason_length_update BEFORE UPDATE ON template_versions WHEN length(NEW.reason) > 2000 BEGIN SELECT RAISE(ABORT, 'template_versions.reason is too long'); END;
CREATE TRIGGER given_quotes_figures_length_insert BEFORE INSERT ON given_quotes WHEN length(NEW.figures) > 200000 BEGIN SELECT RAISE(ABORT, 'given_quotes.figures is too long'); END;
CREATE TRIGGER given_quotes_figures_length_update BEFORE UPDATE ON given_quotes WHEN length(NEW.figures) > 200000 BEGIN SELECT RAISE(ABORT, 'given_quotes.figures is too long'); END;
CREATE INDEX "index_schedules_on_template_version_id" ON "schedules" ("template_version_id");
CREATE VIRTUAL TABLE entry_words USING fts5(words, products UNINDEXED, batches UNINDEXED, person UNINDEXED, fault UNINDEXED, tokenize = 'unicode61 remove_diacritics 2')
/* entry_words(words,products,batches,person,fault) */;
CREATE TABLE IF NOT EXISTS 'entry_words_data'(id INTEGER PRIMARY KEY, block BLOB);
CREATE TABLE IF NOT EXISTS 'entry_words_idx'(segid, term, pgno, PRIMARY KEY(segid, term)) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS 'entry_words_content'(id INTEGER PRIMARY KEY, c0, c1, c2, c3, c4);
CREATE TABLE IF NOT EXISTS 'entry_words_docsize'(id INTEGER PRIMARY KEY, sz BLOB);
CREATE TABLE IF NOT EXISTS 'entry_words_config'(k PRIMARY KEY, v) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS "forgotten_lessons" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "product_id" integer NOT NULL, "phase" varchar NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_bb67db42c2"
FOREIGN KEY ("product_id")
  REFERENCES "products" ("id")
, CONSTRAINT forgotten_phase CHECK (phase IN ('early','hard')));
CREATE INDEX "index_forgotten_lessons_on_product_id" ON "forgotten_lessons" ("product_id");
CREATE TRIGGER forgotten_lessons_mark_insert AFTER INSERT ON forgotten_lessons BEGIN INSERT INTO marks (name, mark) VALUES ('forgotten_lessons', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END;
CREATE TRIGGER forgotten_lessons_mark_update AFTER UPDATE ON forgotten_lessons BEGIN INSERT INTO marks (name, mark) VALUES ('forgotten_lessons', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END;
CREATE TRIGGER forgotten_lessons_mark_delete AFTER DELETE ON forgotten_lessons BEGIN INSERT INTO marks (name, mark) VALUES ('forgotten_lessons', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END;
CREATE TABLE IF NOT EXISTS "air_readings" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "instrument_id" integer NOT NULL, "at" datetime(6) NOT NULL, "t_c" float NOT NULL, "rh" float NOT NULL, "jump" boolean DEFAULT 0 NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_5be7e6c4a7"
FOREIGN KEY ("instrument_id")
  REFERENCES "instruments" ("id")
, CONSTRAINT air_reading_range CHECK (t_c BETWEEN -20 AND 60 AND rh BETWEEN 1 AND 100));
CREATE UNIQUE INDEX "index_air_readings_on_instrument_id_and_at" ON "air_readings" ("instrument_id", "at");
CREATE TABLE IF NOT EXISTS "entries" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "client_id" varchar NOT NULL, "kind" varchar NOT NULL, "piece_id" integer, "revision_id" integer, "pass_key" varchar, "corrects_id" integer, "body" json DEFAULT '{}' NOT NULL, "happened_at" datetime(6) NOT NULL, "recorded_at" datetime(6) NOT NULL, "mix_id" integer, "cell_id" integer, person_id integer REFERENCES people(id), CONSTRAINT "fk_rails_5badce1d33"
FOREIGN KEY ("mix_id")
  REFERENCES "mixes" ("id")
, CONSTRAINT "fk_rails_e307ba5c99"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT "fk_rails_24cbbcc773"
FOREIGN KEY ("revision_id")
  REFERENCES "revisions" ("id")
, CONSTRAINT "fk_rails_93638c4d9d"
FOREIGN KEY ("corrects_id")
  REFERENCES "entries" ("id")
, CONSTRAINT "fk_rails_d9bd4a4b04"
FOREIGN KEY ("cell_id")
  REFERENCES "cells" ("id")
, CONSTRAINT body_is_json CHECK (json_valid(body)), CONSTRAINT a_correction_names_what_it_corrects CHECK ((kind = 'correction') = (corrects_id IS NOT NULL)), CONSTRAINT entry_kind CHECK (kind IN ('started','done','dry_test','note','correction','poured','mixed','discarded','fault','approved','verdict','acknowledged','rags','tick','measured','seen_to')));
CREATE UNIQUE INDEX "index_entries_on_client_id" ON "entries" ("client_id");
CREATE INDEX "index_entries_on_piece_id" ON "entries" ("piece_id");
CREATE INDEX "index_entries_on_revision_id" ON "entries" ("revision_id");
CREATE UNIQUE INDEX "index_entries_on_corrects_id" ON "entries" ("corrects_id");
CREATE INDEX "index_entries_on_mix_id" ON "entries" ("mix_id");
CREATE INDEX "index_entries_on_cell_id" ON "entries" ("cell_id");
CREATE INDEX "index_entries_on_pass_key_and_kind" ON "entries" ("pass_key", "kind");
CREATE INDEX "index_entries_on_happened_at" ON "entries" ("happened_at");
CREATE TRIGGER entries_refuse_update BEFORE UPDATE ON entries BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END;
CREATE TRIGGER entries_refuse_delete BEFORE DELETE ON entries BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END;
CREATE TRIGGER entries_client_id_length_insert BEFORE INSERT ON entries WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'entries.client_id is too long'); END;
CREATE TRIGGER entries_client_id_length_update BEFORE UPDATE ON entries WHEN length(NEW.client_id) > 200 BEGIN SELECT RAISE(ABORT, 'entries.client_id is too long'); END;
CREATE TRIGGER entries_pass_key_length_insert BEFORE INSERT ON entries WHEN length(NEW.pass_key) > 2000 BEGIN SELECT RAISE(ABORT, 'entries.pass_key is too long'); END;
CREATE TRIGGER entries_pass_key_length_update BEFORE UPDATE ON entries WHEN length(NEW.pass_key) > 2000 BEGIN SELECT RAISE(ABORT, 'entries.pass_key is too long'); END;
CREATE TRIGGER entries_body_length_insert BEFORE INSERT ON entries WHEN length(NEW.body) > 500000 BEGIN SELECT RAISE(ABORT, 'entries.body is too long'); END;
CREATE TRIGGER entries_body_length_update BEFORE UPDATE ON entries WHEN length(NEW.body) > 500000 BEGIN SELECT RAISE(ABORT, 'entries.body is too long'); END;
CREATE TRIGGER entries_once BEFORE INSERT ON entries
WHEN NEW.kind IN ('started', 'done') AND EXISTS (
  SELECT 1 FROM entries AS earlier WHERE earlier.pass_key = NEW.pass_key AND earlier.kind = NEW.kind AND earlier.client_id <> NEW.client_id
    AND NOT EXISTS (SELECT 1 FROM entries AS correction WHERE correction.corrects_id = earlier.id))
BEGIN SELECT RAISE(ABORT, 'that pass is in the log already'); END;
CREATE TRIGGER entries_mark_insert AFTER INSERT ON entries
BEGIN
  INSERT INTO marks (name, mark) VALUES ('entries', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER entries_mark_update AFTER UPDATE ON entries
BEGIN
  INSERT INTO marks (name, mark) VALUES ('entries', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER entries_mark_delete AFTER DELETE ON entries
BEGIN
  INSERT INTO marks (name, mark) VALUES ('entries', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TABLE IF NOT EXISTS "instruments" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "room_id" integer, "token_digest" varchar NOT NULL, "stand_in" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "kind" varchar DEFAULT 'hygrometer' NOT NULL, CONSTRAINT "fk_rails_b17e5134fb"
FOREIGN KEY ("room_id")
  REFERENCES "rooms" ("id")
, CONSTRAINT instrument_name_length CHECK (length(name) <= 200), CONSTRAINT stand_in_fault CHECK (stand_in IN ('none','disconnected','stale','noisy','out_of_range','jump')), CONSTRAINT instrument_kind CHECK (kind IN ('hygrometer','weather','moisture','comb','gauge','gloss','colour','efflux')), CONSTRAINT air_is_of_a_room CHECK ((room_id IS NOT NULL) = (kind IN ('hygrometer','weather'))));
CREATE UNIQUE INDEX "index_instruments_on_name" ON "instruments" ("name");
CREATE INDEX "index_instruments_on_room_id" ON "instruments" ("room_id");
CREATE UNIQUE INDEX "index_instruments_on_token_digest" ON "instruments" ("token_digest");
CREATE TABLE IF NOT EXISTS "hand_readings" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "instrument_id" integer NOT NULL, "at" datetime(6) NOT NULL, "value" json NOT NULL, "jump" boolean DEFAULT 0 NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_99a87c342c"
FOREIGN KEY ("instrument_id")
  REFERENCES "instruments" ("id")
, CONSTRAINT value_is_short_json CHECK (json_valid(value) AND length(value) <= 200));
CREATE UNIQUE INDEX "index_hand_readings_on_instrument_id_and_at" ON "hand_readings" ("instrument_id", "at");
CREATE INDEX "index_pieces_on_person_id" ON "pieces" ("person_id");
CREATE INDEX "index_pieces_on_given_from_id" ON "pieces" ("given_from_id");
CREATE TABLE IF NOT EXISTS "sessions" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "person_id" integer NOT NULL, "hands_id" integer, "known" json DEFAULT '[]' NOT NULL, "token_digest" varchar NOT NULL, "device" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "seen_at" datetime(6) NOT NULL, confirmed_at datetime(6), CONSTRAINT "fk_rails_b92d90be62"
FOREIGN KEY ("person_id")
  REFERENCES "people" ("id")
, CONSTRAINT "fk_rails_df887542e5"
FOREIGN KEY ("hands_id")
  REFERENCES "people" ("id")
, CONSTRAINT known_is_json CHECK (json_valid(known)));
CREATE INDEX "index_sessions_on_person_id" ON "sessions" ("person_id");
CREATE INDEX "index_sessions_on_hands_id" ON "sessions" ("hands_id");
CREATE UNIQUE INDEX "index_sessions_on_token_digest" ON "sessions" ("token_digest");
CREATE TABLE IF NOT EXISTS "guest_links" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "kind" varchar NOT NULL, "token_digest" varchar NOT NULL, "piece_id" integer, "job_id" integer, "cell_id" integer, "person_id" integer, "created_at" datetime(6) NOT NULL, "names" boolean DEFAULT 0 NOT NULL, "ends_at" datetime(6), "ended_at" datetime(6), "seen_at" datetime(6), for_name varchar CHECK (length(for_name) <= 80), CONSTRAINT "fk_rails_cbcaa6c1c6"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT "fk_rails_9cec956cc1"
FOREIGN KEY ("job_id")
  REFERENCES "jobs" ("id")
, CONSTRAINT "fk_rails_1ef9098d41"
FOREIGN KEY ("cell_id")
  REFERENCES "cells" ("id")
, CONSTRAINT "fk_rails_a435d080c2"
FOREIGN KEY ("person_id")
  REFERENCES "people" ("id")
, CONSTRAINT guest_link_kind CHECK (kind IN ('handover', 'approval')), CONSTRAINT guest_link_is_of_one CHECK ((piece_id IS NOT NULL) + (job_id IS NOT NULL) + (cell_id IS NOT NULL) = 1));
CREATE UNIQUE INDEX "index_guest_links_on_token_digest" ON "guest_links" ("token_digest");
CREATE INDEX "index_guest_links_on_piece_id" ON "guest_links" ("piece_id");
CREATE INDEX "index_guest_links_on_job_id" ON "guest_links" ("job_id");
CREATE INDEX "index_guest_links_on_cell_id" ON "guest_links" ("cell_id");
CREATE INDEX "index_guest_links_on_person_id" ON "guest_links" ("person_id");
CREATE UNIQUE INDEX "index_pieces_on_job_id_and_name" ON "pieces" ("job_id", "name") WHERE put_away_at IS NULL;
CREATE TABLE audit_lines (
  id integer PRIMARY KEY AUTOINCREMENT NOT NULL, kind varchar NOT NULL CHECK (length(kind) <= 40),
  at datetime(6) NOT NULL, person_id integer REFERENCES people(id), "by" varchar CHECK (length("by") <= 200),
  device varchar CHECK (length(device) <= 80), address varchar CHECK (length(address) <= 60),
  detail json DEFAULT '{}' NOT NULL CHECK (json_valid(detail))
);
CREATE INDEX "index_audit_lines_on_kind_and_at" ON "audit_lines" ("kind", "at");
CREATE TRIGGER audit_lines_refuse_update BEFORE UPDATE ON audit_lines BEGIN SELECT RAISE(ABORT, 'audit_lines are append-only'); END;
CREATE TRIGGER audit_lines_refuse_delete BEFORE DELETE ON audit_lines BEGIN SELECT RAISE(ABORT, 'audit_lines are append-only'); END;
CREATE TABLE planned_passes (
  id integer PRIMARY KEY AUTOINCREMENT NOT NULL,
  piece_id integer NOT NULL REFERENCES pieces(id) ON DELETE CASCADE,
  pass_key varchar NOT NULL CHECK (length(pass_key) <= 400),
  start_min integer NOT NULL, person varchar CHECK (length(person) <= 200),
  because varchar CHECK (length(because) <= 40), mark varchar CHECK (length(mark) <= 20),
  scuff json CHECK (scuff IS NULL OR json_valid(scuff)),
  hands_min json CHECK (hands_min IS NULL OR json_valid(hands_min))
);
CREATE INDEX "index_planned_passes_on_piece_id" ON "planned_passes" ("piece_id");
CREATE UNIQUE INDEX "index_planned_passes_on_pass_key" ON "planned_passes" ("pass_key");
CREATE TRIGGER planned_passes_mark_insert AFTER INSERT ON planned_passes
BEGIN
  INSERT INTO marks (name, mark) VALUES ('planned_passes', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER planned_passes_mark_update AFTER UPDATE ON planned_passes
BEGIN
  INSERT INTO marks (name, mark) VALUES ('planned_passes', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TRIGGER planned_passes_mark_delete AFTER DELETE ON planned_passes
BEGIN
  INSERT INTO marks (name, mark) VALUES ('planned_passes', random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
CREATE TABLE planned_pieces (
  id integer PRIMARY KEY AUTOINCREMENT NOT NULL,
  piece_id integer NOT NULL REFERENCES pieces(id) ON DELETE CASCADE, ready_min integer NOT NULL
);
CREATE UNIQUE INDEX "index_planned_pieces_on_piece_id" ON "planned_pieces" ("piece_id");
CREATE TABLE plan_moves (
  id integer PRIMARY KEY AUTOINCREMENT NOT NULL,
  piece_id integer NOT NULL REFERENCES pieces(id) ON DELETE CASCADE,
  entry_id integer REFERENCES entries(id) ON DELETE SET NULL,
  pass_key varchar CHECK (length(pass_key) <= 400),
  was_min integer NOT NULL, now_min integer NOT NULL, at datetime(6) NOT NULL
);
CREATE INDEX "index_plan_moves_on_at" ON "plan_moves" ("at");
CREATE INDEX "index_plan_moves_on_piece_id" ON "plan_moves" ("piece_id");
CREATE INDEX "index_plan_moves_on_entry_id" ON "plan_moves" ("entry_id");
CREATE TRIGGER entries_mark_piece AFTER INSERT ON entries WHEN NEW.piece_id IS NOT NULL
BEGIN
  INSERT INTO marks (name, mark) VALUES ('entries/' || NEW.piece_id, random())
    ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
END;
INSERT INTO "schema_migrations" (version) VALUES
('20261203000000'),
('20261202040000'),
('20261202000000'),
('20261201230000'),
('20261201190000'),
('20261201130000'),
('20261130180000'),
('20261130160000'),
('20261130140000'),
('20261130120000'),
('20261130080000'),
('20261130070000'),
('20261130060000'),
('20261130020000'),
('20261130010000'),
('20261129190000'),
('20261129150000'),
('20261129110000'),
('20261128120000'),
('20261128110000'),
('20261128100000'),
('20261123200000'),
('20261123190000'),
('20261123170000'),
('20261123160000'),
('20261123140000'),
('20261123120000'),
('20261123100000'),
('20261123070100'),
('20261123070000');

