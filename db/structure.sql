CREATE TABLE IF NOT EXISTS "schema_migrations" ("version" varchar NOT NULL PRIMARY KEY);
CREATE TABLE IF NOT EXISTS "ar_internal_metadata" ("key" varchar NOT NULL PRIMARY KEY, "value" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL);
CREATE TABLE IF NOT EXISTS "active_storage_blobs" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "key" varchar NOT NULL, "filename" varchar NOT NULL, "content_type" varchar, "metadata" text, "service_name" varchar NOT NULL, "byte_size" bigint NOT NULL, "checksum" varchar, "created_at" datetime(6) NOT NULL);
CREATE UNIQUE INDEX "index_active_storage_blobs_on_key" ON "active_storage_blobs" ("key");
CREATE TABLE IF NOT EXISTS "active_storage_attachments" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "record_type" varchar NOT NULL, "record_id" integer NOT NULL, "blob_id" integer NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_c3b3935057"
FOREIGN KEY ("blob_id")
  REFERENCES "active_storage_blobs" ("id")
);
CREATE INDEX "index_active_storage_attachments_on_blob_id" ON "active_storage_attachments" ("blob_id");
CREATE UNIQUE INDEX "index_attachments_uniqueness" ON "active_storage_attachments" ("record_type", "record_id", "name", "blob_id");
CREATE TABLE IF NOT EXISTS "active_storage_variant_records" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "blob_id" integer NOT NULL, "variation_digest" varchar NOT NULL, CONSTRAINT "fk_rails_993965df05"
FOREIGN KEY ("blob_id")
  REFERENCES "active_storage_blobs" ("id")
);
CREATE UNIQUE INDEX "index_active_storage_variant_records_uniqueness" ON "active_storage_variant_records" ("blob_id", "variation_digest");
CREATE TABLE IF NOT EXISTS "attachments_of_memories" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "project_id" integer NOT NULL, "memory_id" integer NOT NULL, "position" integer NOT NULL, "learns" varchar DEFAULT 'never' NOT NULL, "read_only" boolean DEFAULT 0 NOT NULL, "penalty" integer DEFAULT 0 NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_74640842dc"
FOREIGN KEY ("memory_id")
  REFERENCES "memories" ("id")
, CONSTRAINT "fk_rails_c1b41a9d2a"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
);
CREATE INDEX "index_attachments_of_memories_on_memory_id" ON "attachments_of_memories" ("memory_id");
CREATE UNIQUE INDEX "index_attachments_of_memories_on_project_id_and_memory_id" ON "attachments_of_memories" ("project_id", "memory_id");
CREATE INDEX "index_attachments_of_memories_on_project_id" ON "attachments_of_memories" ("project_id");
CREATE TABLE IF NOT EXISTS "delivered_files" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "delivery_id" integer NOT NULL, "document_id" integer NOT NULL, "name" varchar NOT NULL, "checksum" varchar NOT NULL, "byte_size" integer NOT NULL, "proof" json NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_0d30fa806b"
FOREIGN KEY ("delivery_id")
  REFERENCES "deliveries" ("id")
, CONSTRAINT "fk_rails_1882d3d1a1"
FOREIGN KEY ("document_id")
  REFERENCES "documents" ("id")
);
CREATE INDEX "index_delivered_files_on_delivery_id" ON "delivered_files" ("delivery_id");
CREATE INDEX "index_delivered_files_on_document_id" ON "delivered_files" ("document_id");
CREATE TABLE IF NOT EXISTS "deliveries" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "project_id" integer NOT NULL, "user_id" integer NOT NULL, "number" integer NOT NULL, "unfinished" json DEFAULT '{}' NOT NULL, "learned" integer DEFAULT 0 NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "checks" json, "message" text DEFAULT '' NOT NULL, "receipt" json, "author" varchar DEFAULT '' NOT NULL, CONSTRAINT "fk_rails_34181aa9f5"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
, CONSTRAINT "fk_rails_de15c80c9c"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE INDEX "index_deliveries_on_project_id" ON "deliveries" ("project_id");
CREATE INDEX "index_deliveries_on_user_id" ON "deliveries" ("user_id");
CREATE TABLE IF NOT EXISTS "documents" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "project_id" integer NOT NULL, "position" integer NOT NULL, "name" varchar NOT NULL, "format" varchar, "state" varchar DEFAULT 'waiting' NOT NULL, "message" varchar, "run" varchar, "done" integer DEFAULT 0 NOT NULL, "total" integer DEFAULT 0 NOT NULL, "by" varchar DEFAULT 'sentence' NOT NULL, "source_lang" varchar, "options" json DEFAULT '{}' NOT NULL, "breaks" json DEFAULT '{}' NOT NULL, "facts" json DEFAULT '{}' NOT NULL, "bands" json, "byte_size" integer DEFAULT 0 NOT NULL, "checksum" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "role" varchar DEFAULT 'current' NOT NULL, "replaces_id" integer, "hand" json DEFAULT '{}' NOT NULL, "comparison" json, "segmentation_version" integer DEFAULT 0 NOT NULL, "reader_version" integer, CONSTRAINT "fk_rails_55cfc1b0e0"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
);
CREATE INDEX "index_documents_on_project_id" ON "documents" ("project_id");
CREATE TABLE IF NOT EXISTS "detached_translations" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "document_id" integer NOT NULL, "unit" varchar NOT NULL, "source" text NOT NULL, "fields" json DEFAULT '{}' NOT NULL, "versions" json DEFAULT '[]' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_dd19b1ad9e"
FOREIGN KEY ("document_id")
  REFERENCES "documents" ("id")
);
CREATE TABLE IF NOT EXISTS "memories" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer, "name" varchar NOT NULL, "description" text DEFAULT '' NOT NULL, "source_lang" varchar NOT NULL, "target_lang" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "deleted_at" datetime(6), "used_at" datetime(6), "origin" varchar, CONSTRAINT "fk_rails_80ff95ac61"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE UNIQUE INDEX "index_memories_on_user_id_and_name" ON "memories" ("user_id", "name") WHERE deleted_at IS NULL;
CREATE INDEX "index_memories_on_user_id" ON "memories" ("user_id");
CREATE TABLE IF NOT EXISTS "translation_units" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "memory_id" integer NOT NULL, "segment_id" bigint, "source" text NOT NULL, "target" text NOT NULL, "author" varchar, "client" varchar, "subject" varchar, "project" varchar, "file" varchar, "origin" varchar DEFAULT 'typed' NOT NULL, "used" integer DEFAULT 0 NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "source_hash" bigint DEFAULT 0 NOT NULL, "words" blob, "changed_by" varchar, "key" varchar, "previous_hash" bigint, "next_hash" bigint, "codes" json, "extra" json, "import_id" integer, "used_at" datetime(6), "outside_id" varchar, CONSTRAINT "fk_rails_d3478ba106"
FOREIGN KEY ("memory_id")
  REFERENCES "memories" ("id")
);
CREATE TABLE IF NOT EXISTS "trash_items" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "kind" varchar NOT NULL, "name" varchar NOT NULL, "place" varchar, "record_id" bigint, "facts" json DEFAULT '{}' NOT NULL, "restored_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_0515081423"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE TABLE IF NOT EXISTS "segments" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "document_id" integer NOT NULL, "project_id" integer NOT NULL, "position" integer NOT NULL, "key" varchar NOT NULL, "block" varchar NOT NULL, "source" text NOT NULL, "source_key" varchar NOT NULL, "codes" json DEFAULT '[]' NOT NULL, "words" integer NOT NULL, "characters" integer NOT NULL, "target" text DEFAULT '' NOT NULL, "state" varchar DEFAULT 'untouched' NOT NULL, "origin" json DEFAULT '{}' NOT NULL, "marked" boolean DEFAULT 0 NOT NULL, "version" integer DEFAULT 0 NOT NULL, "note" varchar, "limit" integer, "confirmed_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "alternatives" json DEFAULT '[]' NOT NULL, "context" varchar, "exempt" boolean DEFAULT 0 NOT NULL, "locked" boolean DEFAULT 0 NOT NULL, "location" json DEFAULT '{}' NOT NULL, CONSTRAINT "fk_rails_ec1b1b96c6"
FOREIGN KEY ("document_id")
  REFERENCES "documents" ("id")
, CONSTRAINT "fk_rails_4172c06e24"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
);
CREATE UNIQUE INDEX "index_segments_on_document_id_and_position" ON "segments" ("document_id", "position");
CREATE INDEX "index_segments_on_project_id_and_source_key" ON "segments" ("project_id", "source_key");
CREATE INDEX "index_segments_on_project_id" ON "segments" ("project_id");
CREATE TABLE IF NOT EXISTS "versions" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "segment_id" integer NOT NULL, "user_id" integer, "target" text NOT NULL, "state" varchar NOT NULL, "origin" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_bb9f5029db"
FOREIGN KEY ("segment_id")
  REFERENCES "segments" ("id")
, CONSTRAINT "fk_rails_914f13c63b"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE INDEX "index_versions_on_segment_id" ON "versions" ("segment_id");
CREATE INDEX "index_versions_on_user_id" ON "versions" ("user_id");
CREATE TABLE IF NOT EXISTS "memory_parts" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "memory_id" integer NOT NULL, "whole" integer DEFAULT 0 NOT NULL);
CREATE TABLE IF NOT EXISTS "memory_postings" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "pairs" blob NOT NULL);
CREATE TABLE memory_fresh (
  memory_id INTEGER NOT NULL, gram INTEGER NOT NULL, class INTEGER NOT NULL, unit_id INTEGER NOT NULL,
  sketch INTEGER NOT NULL, PRIMARY KEY (memory_id, gram, class, unit_id)
) WITHOUT ROWID
;
CREATE VIRTUAL TABLE memory_texts
USING fts5(source, target, content='', tokenize='unicode61 remove_diacritics 2')
/* memory_texts(source,target) */;
CREATE TABLE IF NOT EXISTS 'memory_texts_data'(id INTEGER PRIMARY KEY, block BLOB);
CREATE TABLE IF NOT EXISTS 'memory_texts_idx'(segid, term, pgno, PRIMARY KEY(segid, term)) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS 'memory_texts_docsize'(id INTEGER PRIMARY KEY, sz BLOB);
CREATE TABLE IF NOT EXISTS 'memory_texts_config'(k PRIMARY KEY, v) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS "rate_cards" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "client_id" integer, "source_lang" varchar NOT NULL, "target_lang" varchar NOT NULL, "rates" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_2960d6da98"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_e742bda0de"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
);
CREATE INDEX "index_rate_cards_on_user_id" ON "rate_cards" ("user_id");
CREATE INDEX "index_rate_cards_on_client_id" ON "rate_cards" ("client_id");
CREATE UNIQUE INDEX "index_rate_cards_on_pair" ON "rate_cards" ("user_id", "client_id", "source_lang", "target_lang");
CREATE TABLE IF NOT EXISTS "reports" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "project_id" integer, "client_id" integer, "name" varchar NOT NULL, "made" varchar NOT NULL, "source_lang" varchar, "target_lang" varchar, "memories" json DEFAULT '[]' NOT NULL, "mark" varchar NOT NULL, "state" varchar DEFAULT 'counting' NOT NULL, "message" varchar, "kept" boolean DEFAULT 1 NOT NULL, "done" integer DEFAULT 0 NOT NULL, "total" integer DEFAULT 0 NOT NULL, "figures" json, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_c7699d537d"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_9a0a9c9bec"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
, CONSTRAINT "fk_rails_19d32a3d01"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
);
CREATE INDEX "index_reports_on_user_id" ON "reports" ("user_id");
CREATE INDEX "index_reports_on_project_id" ON "reports" ("project_id");
CREATE INDEX "index_reports_on_client_id" ON "reports" ("client_id");
CREATE TABLE IF NOT EXISTS "quotes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "report_id" integer NOT NULL, "project_id" integer, "client_id" integer, "number" varchar NOT NULL, "state" varchar DEFAULT 'open' NOT NULL, "valid_until" date NOT NULL, "done_at" datetime(6), "hours" float NOT NULL, "rates" json NOT NULL, "figures" json NOT NULL, "letter" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_02b555fb4d"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_a51090c9db"
FOREIGN KEY ("report_id")
  REFERENCES "reports" ("id")
, CONSTRAINT "fk_rails_295e26a9c4"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
, CONSTRAINT "fk_rails_3bae89f465"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
);
CREATE INDEX "index_quotes_on_user_id" ON "quotes" ("user_id");
CREATE INDEX "index_quotes_on_report_id" ON "quotes" ("report_id");
CREATE INDEX "index_quotes_on_project_id" ON "quotes" ("project_id");
CREATE INDEX "index_quotes_on_client_id" ON "quotes" ("client_id");
CREATE UNIQUE INDEX "index_quotes_on_user_id_and_number" ON "quotes" ("user_id", "number");
CREATE TABLE IF NOT EXISTS "termbases" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "client_id" integer, "name" varchar NOT NULL, "description" text DEFAULT '' NOT NULL, "head" json DEFAULT '{}' NOT NULL, "revision" integer DEFAULT 0 NOT NULL, "deleted_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "origin" varchar, CONSTRAINT "fk_rails_83996442e6"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_0473122475"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
);
CREATE INDEX "index_termbases_on_user_id" ON "termbases" ("user_id");
CREATE INDEX "index_termbases_on_client_id" ON "termbases" ("client_id");
CREATE TABLE IF NOT EXISTS "term_entries" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "termbase_id" integer NOT NULL, "data" json NOT NULL, "subject" varchar, "author" varchar, "changed_by" varchar, "revision" integer DEFAULT 0 NOT NULL, "deleted_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_6830e3c2f1"
FOREIGN KEY ("termbase_id")
  REFERENCES "termbases" ("id")
);
CREATE INDEX "index_term_entries_on_termbase_id" ON "term_entries" ("termbase_id");
CREATE INDEX "index_term_entries_on_termbase_id_and_revision" ON "term_entries" ("termbase_id", "revision");
CREATE INDEX "index_term_entries_on_termbase_id_and_subject" ON "term_entries" ("termbase_id", "subject");
CREATE TABLE IF NOT EXISTS "terms" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "term_entry_id" integer NOT NULL, "termbase_id" integer NOT NULL, "lang" varchar NOT NULL, "text" varchar NOT NULL, "folded" varchar NOT NULL, "status" varchar, "forbidden" boolean DEFAULT 0 NOT NULL, CONSTRAINT "fk_rails_dd13a0f949"
FOREIGN KEY ("term_entry_id")
  REFERENCES "term_entries" ("id")
, CONSTRAINT "fk_rails_b18a1d4e28"
FOREIGN KEY ("termbase_id")
  REFERENCES "termbases" ("id")
);
CREATE INDEX "index_terms_on_term_entry_id" ON "terms" ("term_entry_id");
CREATE INDEX "index_terms_on_termbase_id_and_lang_and_folded" ON "terms" ("termbase_id", "lang", "folded");
CREATE TABLE IF NOT EXISTS "attached_termbases" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "project_id" integer NOT NULL, "termbase_id" integer NOT NULL, "position" integer NOT NULL, "adds" boolean DEFAULT 1 NOT NULL, "checks" boolean DEFAULT 1 NOT NULL, "read_only" boolean DEFAULT 0 NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_314c7e8dbd"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
, CONSTRAINT "fk_rails_7b7a91f051"
FOREIGN KEY ("termbase_id")
  REFERENCES "termbases" ("id")
);
CREATE INDEX "index_attached_termbases_on_project_id" ON "attached_termbases" ("project_id");
CREATE INDEX "index_attached_termbases_on_termbase_id" ON "attached_termbases" ("termbase_id");
CREATE UNIQUE INDEX "index_attached_termbases_on_project_id_and_termbase_id" ON "attached_termbases" ("project_id", "termbase_id");
CREATE TABLE IF NOT EXISTS "user_words" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "client_id" integer, "project_id" integer, "lang" varchar NOT NULL, "word" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_36e7ad6280"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_5b4e7911b4"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
, CONSTRAINT "fk_rails_482dff55ab"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
);
CREATE TABLE IF NOT EXISTS "machine_services" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "name" varchar NOT NULL, "address" varchar NOT NULL, "http_method" varchar DEFAULT 'post' NOT NULL, "headers" json DEFAULT '{}' NOT NULL, "key" text, "request" text NOT NULL, "answer" varchar NOT NULL, "batch" integer DEFAULT 20 NOT NULL, "markup" boolean DEFAULT 1 NOT NULL, "instructions" text DEFAULT '' NOT NULL, "active" boolean DEFAULT 0 NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "languages" json DEFAULT '[]' NOT NULL, "price" decimal(10,4), "currency" varchar DEFAULT 'EUR' NOT NULL, CONSTRAINT "fk_rails_47db2f6562"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE INDEX "index_machine_services_on_user_id" ON "machine_services" ("user_id");
CREATE TABLE IF NOT EXISTS "machine_answers" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "machine_service_id" integer NOT NULL, "digest" varchar NOT NULL, "target" text NOT NULL, "lost" json DEFAULT '[]' NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_f43a905137"
FOREIGN KEY ("machine_service_id")
  REFERENCES "machine_services" ("id")
);
CREATE INDEX "index_machine_answers_on_machine_service_id" ON "machine_answers" ("machine_service_id");
CREATE UNIQUE INDEX "index_machine_answers_on_machine_service_id_and_digest" ON "machine_answers" ("machine_service_id", "digest");
CREATE TABLE IF NOT EXISTS "machine_requests" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "machine_service_id" integer NOT NULL, "project_id" integer, "client" varchar, "texts" integer NOT NULL, "characters" integer NOT NULL, "outcome" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "cost" decimal(12,6), "currency" varchar, "given" integer, CONSTRAINT "fk_rails_2a8300d226"
FOREIGN KEY ("machine_service_id")
  REFERENCES "machine_services" ("id")
, CONSTRAINT "fk_rails_41a4303498"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
 ON DELETE SET NULL);
CREATE INDEX "index_machine_requests_on_machine_service_id" ON "machine_requests" ("machine_service_id");
CREATE INDEX "index_machine_requests_on_project_id" ON "machine_requests" ("project_id");
CREATE TABLE IF NOT EXISTS "checked_segments" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "segment_id" integer NOT NULL, "stamp" varchar NOT NULL, "seen" text NOT NULL, "findings" json DEFAULT '[]' NOT NULL, "terms" json DEFAULT '[]' NOT NULL, CONSTRAINT "fk_rails_f6e22654d1"
FOREIGN KEY ("segment_id")
  REFERENCES "segments" ("id")
 ON DELETE CASCADE);
CREATE UNIQUE INDEX "index_checked_segments_on_segment_id" ON "checked_segments" ("segment_id");
CREATE TABLE IF NOT EXISTS "ignored_findings" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "project_id" integer, "client_id" integer, "segment_id" integer, "user_id" integer, "author" varchar NOT NULL, "code" varchar NOT NULL, "digest" varchar NOT NULL, "message" varchar DEFAULT '' NOT NULL, "reason" text DEFAULT '' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "said" text, CONSTRAINT "fk_rails_bc4f11c023"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
, CONSTRAINT "fk_rails_e72b07f193"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
 ON DELETE CASCADE, CONSTRAINT "fk_rails_dae7d8a1e9"
FOREIGN KEY ("segment_id")
  REFERENCES "segments" ("id")
 ON DELETE CASCADE, CONSTRAINT "fk_rails_a7d433e0ca"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
 ON DELETE SET NULL);
CREATE TABLE IF NOT EXISTS "review_changes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "review_round_id" integer NOT NULL, "segment_id" integer NOT NULL, "before" text NOT NULL, "after" text NOT NULL, "author" varchar NOT NULL, "made_at" datetime(6), "kind" varchar NOT NULL, "words" integer DEFAULT 0 NOT NULL, "changed_words" integer DEFAULT 0 NOT NULL, "refused" varchar, "mended" text, "decision" varchar DEFAULT 'open' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_ab66e3e75d"
FOREIGN KEY ("review_round_id")
  REFERENCES "review_rounds" ("id")
 ON DELETE CASCADE, CONSTRAINT "fk_rails_65b7955280"
FOREIGN KEY ("segment_id")
  REFERENCES "segments" ("id")
 ON DELETE CASCADE);
CREATE INDEX "index_review_changes_on_review_round_id" ON "review_changes" ("review_round_id");
CREATE INDEX "index_review_changes_on_segment_id" ON "review_changes" ("segment_id");
CREATE UNIQUE INDEX "index_review_changes_on_review_round_id_and_segment_id" ON "review_changes" ("review_round_id", "segment_id");
CREATE TABLE IF NOT EXISTS "review_rounds" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "project_id" integer NOT NULL, "user_id" integer, "number" integer NOT NULL, "reviser" varchar NOT NULL, "token" varchar NOT NULL, "state" varchar DEFAULT 'out' NOT NULL, "options" json DEFAULT '{}' NOT NULL, "base" json DEFAULT '{}' NOT NULL, "back_at" datetime(6), "closed_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "way" varchar DEFAULT 'sheet' NOT NULL, "guest_id" integer, "may" varchar DEFAULT 'change' NOT NULL, "numbers" json DEFAULT '{}' NOT NULL, CONSTRAINT "fk_rails_a1aceb2133"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
 ON DELETE SET NULL, CONSTRAINT "fk_rails_0a5883f287"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
, CONSTRAINT "fk_rails_b86af8dc2b"
FOREIGN KEY ("guest_id")
  REFERENCES "users" ("id")
 ON DELETE SET NULL);
CREATE INDEX "index_review_rounds_on_project_id" ON "review_rounds" ("project_id");
CREATE INDEX "index_review_rounds_on_user_id" ON "review_rounds" ("user_id");
CREATE UNIQUE INDEX "index_review_rounds_on_token" ON "review_rounds" ("token");
CREATE INDEX "index_review_rounds_on_guest_id" ON "review_rounds" ("guest_id");
CREATE TABLE IF NOT EXISTS "review_passages" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "review_round_id" integer NOT NULL, "segment_id" integer NOT NULL, "draft" text, "target" text, "read_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_42c3c58ca7"
FOREIGN KEY ("review_round_id")
  REFERENCES "review_rounds" ("id")
 ON DELETE CASCADE, CONSTRAINT "fk_rails_c44b492ad6"
FOREIGN KEY ("segment_id")
  REFERENCES "segments" ("id")
 ON DELETE CASCADE);
CREATE INDEX "index_review_passages_on_review_round_id" ON "review_passages" ("review_round_id");
CREATE INDEX "index_review_passages_on_segment_id" ON "review_passages" ("segment_id");
CREATE UNIQUE INDEX "index_review_passages_on_review_round_id_and_segment_id" ON "review_passages" ("review_round_id", "segment_id");
CREATE TABLE IF NOT EXISTS "notes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "project_id" integer NOT NULL, "document_id" integer, "segment_id" integer, "user_id" integer, "author" varchar NOT NULL, "kind" varchar DEFAULT 'note' NOT NULL, "text" text NOT NULL, "answer" text DEFAULT '' NOT NULL, "answered_by" varchar, "answered_at" datetime(6), "settled_at" datetime(6), "source" text, "unit" varchar, "deleted_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "review_round_id" integer, "error_type" varchar, "severity" varchar, "spot" json, CONSTRAINT "fk_rails_7f2323ad43"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
 ON DELETE SET NULL, CONSTRAINT "fk_rails_f2cf00e6f9"
FOREIGN KEY ("segment_id")
  REFERENCES "segments" ("id")
 ON DELETE SET NULL, CONSTRAINT "fk_rails_cc6562712f"
FOREIGN KEY ("document_id")
  REFERENCES "documents" ("id")
 ON DELETE SET NULL, CONSTRAINT "fk_rails_99e097b079"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
, CONSTRAINT "fk_rails_ab8051155d"
FOREIGN KEY ("review_round_id")
  REFERENCES "review_rounds" ("id")
 ON DELETE SET NULL);
CREATE INDEX "index_notes_on_project_id" ON "notes" ("project_id");
CREATE INDEX "index_notes_on_document_id" ON "notes" ("document_id");
CREATE INDEX "index_notes_on_segment_id" ON "notes" ("segment_id");
CREATE INDEX "index_notes_on_user_id" ON "notes" ("user_id");
CREATE INDEX "index_notes_on_review_round_id" ON "notes" ("review_round_id");
CREATE TABLE IF NOT EXISTS "alignments" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "client_id" integer, "memory_id" integer, "project_id" integer, "name" varchar NOT NULL, "subject" varchar DEFAULT '' NOT NULL, "source_lang" varchar NOT NULL, "target_lang" varchar NOT NULL, "state" varchar DEFAULT 'waiting' NOT NULL, "message" varchar, "beads" json DEFAULT '[]' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "progress" integer DEFAULT 0 NOT NULL, CONSTRAINT "fk_rails_8369ecaa38"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_b732345760"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
 ON DELETE SET NULL, CONSTRAINT "fk_rails_802259f3ed"
FOREIGN KEY ("memory_id")
  REFERENCES "memories" ("id")
 ON DELETE SET NULL, CONSTRAINT "fk_rails_220e92f6d4"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
 ON DELETE SET NULL);
CREATE INDEX "index_alignments_on_user_id" ON "alignments" ("user_id");
CREATE INDEX "index_alignments_on_client_id" ON "alignments" ("client_id");
CREATE INDEX "index_alignments_on_memory_id" ON "alignments" ("memory_id");
CREATE INDEX "index_alignments_on_project_id" ON "alignments" ("project_id");
CREATE TABLE IF NOT EXISTS "sign_ins" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "token" varchar NOT NULL, "agent" varchar DEFAULT '' NOT NULL, "address" varchar DEFAULT '' NOT NULL, "used_at" datetime(6) NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_125cb8cf0c"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE INDEX "index_sign_ins_on_user_id" ON "sign_ins" ("user_id");
CREATE UNIQUE INDEX "index_sign_ins_on_token" ON "sign_ins" ("token");
CREATE INDEX "index_sign_ins_on_used_at" ON "sign_ins" ("used_at");
CREATE TABLE IF NOT EXISTS "users" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "email" varchar NOT NULL, "password_digest" varchar NOT NULL, "words_per_hour" integer DEFAULT 350 NOT NULL, "reference_pattern" varchar DEFAULT '{client}-{yy}{nn}' NOT NULL, "preferences" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "rules" text, "working" json DEFAULT '{"days":[1,2,3,4,5],"from":"09:00","to":"17:00"}' NOT NULL, "remind_at" varchar DEFAULT '09:00' NOT NULL, "time_zone" varchar DEFAULT 'UTC' NOT NULL, "address" text DEFAULT '' NOT NULL, "quote_pattern" varchar DEFAULT '{yyyy}-{nnn}' NOT NULL, "factor_secret" text, "factor_since" datetime(6), "factor_used_at" integer DEFAULT 0 NOT NULL, "recovery_codes" json DEFAULT '[]' NOT NULL);
CREATE UNIQUE INDEX "index_users_on_email" ON "users" ("email");
CREATE TABLE IF NOT EXISTS "remote_sources" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "item_type" varchar NOT NULL, "item_id" integer NOT NULL, "user_id" integer NOT NULL, "address" varchar NOT NULL, "ref" varchar NOT NULL, "key" text, "facts" json DEFAULT '{}' NOT NULL, "writes" boolean DEFAULT 0 NOT NULL, "tested_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_ff65e92ef3"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE UNIQUE INDEX "index_remote_sources_on_item" ON "remote_sources" ("item_type", "item_id");
CREATE INDEX "index_remote_sources_on_user_id" ON "remote_sources" ("user_id");
CREATE TABLE IF NOT EXISTS "remote_answers" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "remote_source_id" integer NOT NULL, "digest" varchar NOT NULL, "answer" json NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_6171a7d47e"
FOREIGN KEY ("remote_source_id")
  REFERENCES "remote_sources" ("id")
);
CREATE INDEX "index_remote_answers_on_created_at" ON "remote_answers" ("created_at");
CREATE UNIQUE INDEX "index_remote_answers_on_remote_source_id_and_digest" ON "remote_answers" ("remote_source_id", "digest");
CREATE TABLE IF NOT EXISTS "remote_keys" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "item_type" varchar NOT NULL, "item_id" integer NOT NULL, "user_id" integer NOT NULL, "name" varchar NOT NULL, "digest" varchar NOT NULL, "ending" varchar NOT NULL, "may" varchar DEFAULT 'read' NOT NULL, "per_minute" integer DEFAULT 600 NOT NULL, "asked" integer DEFAULT 0 NOT NULL, "until_on" date, "used_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_b283480825"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE INDEX "index_remote_keys_on_item" ON "remote_keys" ("item_type", "item_id");
CREATE INDEX "index_remote_keys_on_user_id" ON "remote_keys" ("user_id");
CREATE UNIQUE INDEX "index_remote_keys_on_digest" ON "remote_keys" ("digest");
CREATE TABLE IF NOT EXISTS "outgoing_requests" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "about_type" varchar NOT NULL, "about_id" integer NOT NULL, "uid" varchar NOT NULL, "body" json DEFAULT '{}' NOT NULL, "tries" integer DEFAULT 0 NOT NULL, "state" varchar DEFAULT 'waiting' NOT NULL, "trouble" text, "due_at" datetime(6) NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_268c66dfb2"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE INDEX "index_sendings_on_about" ON "outgoing_requests" ("about_type", "about_id");
CREATE TABLE IF NOT EXISTS "client_servers" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "client_id" integer, "name" varchar NOT NULL, "address" varchar NOT NULL, "key" text, "asked_at" datetime(6), "trouble" text, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_6f7d73aaa0"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_f1501b0e01"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
);
CREATE INDEX "index_client_servers_on_user_id" ON "client_servers" ("user_id");
CREATE INDEX "index_client_servers_on_client_id" ON "client_servers" ("client_id");
CREATE UNIQUE INDEX "index_client_servers_on_user_id_and_address" ON "client_servers" ("user_id", "address");
CREATE TABLE IF NOT EXISTS "server_projects" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "client_server_id" integer NOT NULL, "project_id" integer, "ref" varchar NOT NULL, "state" varchar DEFAULT 'offered' NOT NULL, "facts" json DEFAULT '{}' NOT NULL, "reason" text, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_3a031ed6b7"
FOREIGN KEY ("client_server_id")
  REFERENCES "client_servers" ("id")
, CONSTRAINT "fk_rails_607e6c6bc2"
FOREIGN KEY ("project_id")
  REFERENCES "projects" ("id")
);
CREATE INDEX "index_server_projects_on_client_server_id" ON "server_projects" ("client_server_id");
CREATE UNIQUE INDEX "index_server_projects_on_project_id" ON "server_projects" ("project_id");
CREATE UNIQUE INDEX "index_server_projects_on_client_server_id_and_ref" ON "server_projects" ("client_server_id", "ref");
CREATE TABLE IF NOT EXISTS "operations" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "kind" varchar NOT NULL, "subject_type" varchar, "subject_id" bigint, "user_id" integer, "state" varchar DEFAULT 'queued' NOT NULL, "active" boolean DEFAULT 0 NOT NULL, "undoing" boolean DEFAULT 0 NOT NULL, "weight" varchar DEFAULT 'ordinary' NOT NULL, "summary" varchar DEFAULT '' NOT NULL, "done" integer DEFAULT 0 NOT NULL, "total" integer DEFAULT 0 NOT NULL, "phase" varchar, "message" varchar, "input" json DEFAULT '{}' NOT NULL, "result" json DEFAULT '{}' NOT NULL, "before" json DEFAULT '{}' NOT NULL, "cursor" json DEFAULT '{}' NOT NULL, "started_at" datetime(6), "finished_at" datetime(6), "undone_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL);
CREATE INDEX "index_operations_on_user_id" ON "operations" ("user_id");
CREATE INDEX "index_operations_on_subject_type_and_subject_id" ON "operations" ("subject_type", "subject_id");
CREATE INDEX "index_operations_on_state_and_weight" ON "operations" ("state", "weight");
CREATE TABLE IF NOT EXISTS "translation_unit_versions" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "unit_id" integer NOT NULL, "operation_id" integer NOT NULL, "before" json, CONSTRAINT "fk_rails_b265ec23b1"
FOREIGN KEY ("operation_id")
  REFERENCES "operations" ("id")
);
CREATE TABLE IF NOT EXISTS "term_entry_versions" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "operation_id" integer NOT NULL, "term_entry_id" integer NOT NULL, "data" json, "deleted" boolean DEFAULT 0 NOT NULL, CONSTRAINT "fk_rails_ad80cb0eaa"
FOREIGN KEY ("term_entry_id")
  REFERENCES "term_entries" ("id")
, CONSTRAINT "fk_rails_08fd618970"
FOREIGN KEY ("operation_id")
  REFERENCES "operations" ("id")
);
CREATE INDEX "index_term_entry_versions_on_term_entry_id" ON "term_entry_versions" ("term_entry_id");
CREATE INDEX "index_term_entry_versions_on_operation_id" ON "term_entry_versions" ("operation_id");
CREATE TABLE IF NOT EXISTS "term_candidates" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "termbase_id" integer NOT NULL, "operation_id" integer NOT NULL, "accepted_id" integer, "lang" varchar NOT NULL, "target_lang" varchar, "text" varchar NOT NULL, "folded" varchar NOT NULL, "translation" varchar, "count" integer NOT NULL, "score" float NOT NULL, "examples" json DEFAULT '[]' NOT NULL, "state" varchar DEFAULT 'waiting' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_3c4c25179f"
FOREIGN KEY ("operation_id")
  REFERENCES "operations" ("id")
, CONSTRAINT "fk_rails_5e11bb9aab"
FOREIGN KEY ("termbase_id")
  REFERENCES "termbases" ("id")
, CONSTRAINT "fk_rails_ba5a790951"
FOREIGN KEY ("accepted_id")
  REFERENCES "operations" ("id")
);
CREATE INDEX "index_term_candidates_on_termbase_id" ON "term_candidates" ("termbase_id");
CREATE INDEX "index_term_candidates_on_accepted_id" ON "term_candidates" ("accepted_id");
CREATE UNIQUE INDEX "index_term_candidates_on_termbase_id_and_lang_and_folded" ON "term_candidates" ("termbase_id", "lang", "folded");
CREATE INDEX "index_term_candidates_on_operation_id" ON "term_candidates" ("operation_id");
CREATE INDEX "index_memories_on_user_id_and_origin" ON "memories" ("user_id", "origin");
CREATE INDEX "index_termbases_on_user_id_and_origin" ON "termbases" ("user_id", "origin");
CREATE TABLE IF NOT EXISTS "shares" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "item_type" varchar NOT NULL, "item_id" integer NOT NULL, "owner_id" integer NOT NULL, "user_id" integer, "email" varchar NOT NULL, "may" varchar DEFAULT 'view' NOT NULL, "until_on" date, "state" varchar DEFAULT 'offered' NOT NULL, "token" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_d671d25093"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
 ON DELETE CASCADE, CONSTRAINT "fk_rails_cddf936f3c"
FOREIGN KEY ("owner_id")
  REFERENCES "users" ("id")
 ON DELETE CASCADE);
CREATE INDEX "index_shares_on_item" ON "shares" ("item_type", "item_id");
CREATE INDEX "index_shares_on_owner_id" ON "shares" ("owner_id");
CREATE INDEX "index_shares_on_user_id" ON "shares" ("user_id");
CREATE UNIQUE INDEX "index_shares_on_token" ON "shares" ("token");
CREATE UNIQUE INDEX "index_shares_on_item_type_and_item_id_and_email" ON "shares" ("item_type", "item_id", "email");
CREATE INDEX "index_trash_items_on_user_id" ON "trash_items" ("user_id");
CREATE INDEX "index_trash_items_on_kind_and_record_id" ON "trash_items" ("kind", "record_id");
CREATE UNIQUE INDEX "index_ignored_findings_on_client_id_and_digest" ON "ignored_findings" ("client_id", "digest");
CREATE UNIQUE INDEX "index_ignored_findings_on_project_id_and_digest" ON "ignored_findings" ("project_id", "digest");
CREATE INDEX "index_ignored_findings_on_user_id" ON "ignored_findings" ("user_id");
CREATE INDEX "index_ignored_findings_on_segment_id" ON "ignored_findings" ("segment_id");
CREATE INDEX "index_ignored_findings_on_client_id" ON "ignored_findings" ("client_id");
CREATE INDEX "index_ignored_findings_on_project_id" ON "ignored_findings" ("project_id");
CREATE INDEX "index_detached_translations_on_document_id" ON "detached_translations" ("document_id");
CREATE INDEX "index_detached_translations_on_document_id_and_unit" ON "detached_translations" ("document_id", "unit");
CREATE INDEX "index_outgoing_requests_on_state_and_due_at" ON "outgoing_requests" ("state", "due_at");
CREATE UNIQUE INDEX "index_outgoing_requests_on_uid" ON "outgoing_requests" ("uid");
CREATE INDEX "index_outgoing_requests_on_user_id" ON "outgoing_requests" ("user_id");
CREATE INDEX "index_user_words_on_project_id" ON "user_words" ("project_id");
CREATE INDEX "index_user_words_on_client_id" ON "user_words" ("client_id");
CREATE INDEX "index_user_words_on_user_id" ON "user_words" ("user_id");
CREATE INDEX "index_translation_units_on_memory_id_and_outside_id" ON "translation_units" ("memory_id", "outside_id");
CREATE INDEX "index_translation_units_on_segment_id" ON "translation_units" ("segment_id");
CREATE INDEX "index_translation_units_on_memory_id_and_source_hash" ON "translation_units" ("memory_id", "source_hash");
CREATE INDEX "index_translation_unit_versions_on_operation_id_and_unit_id" ON "translation_unit_versions" ("operation_id", "unit_id");
CREATE INDEX "index_translation_unit_versions_on_unit_id" ON "translation_unit_versions" ("unit_id");
CREATE TABLE IF NOT EXISTS "clients" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "name" varchar NOT NULL, "code" varchar NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "people" json DEFAULT '[]' NOT NULL, "address" text DEFAULT '' NOT NULL, "own_address" text DEFAULT '' NOT NULL, "subjects" json DEFAULT '[]' NOT NULL, "memories" json DEFAULT '[]' NOT NULL, "never_used" json DEFAULT '[]' NOT NULL, "never_translated" json DEFAULT '[]' NOT NULL, "file_pattern" varchar DEFAULT '' NOT NULL, "reference_pattern" varchar DEFAULT '' NOT NULL, "machine" boolean DEFAULT 0 NOT NULL, "notes" text DEFAULT '' NOT NULL, "conditions" text DEFAULT '' NOT NULL, "valid_days" integer DEFAULT 30 NOT NULL, "rules" text, "deleted_at" datetime(6), "termbases" json DEFAULT '[]' NOT NULL, "on_open" varchar, "check_profile" json, "language" varchar, "machine_order" json DEFAULT '{}' NOT NULL, "machine_shown" integer DEFAULT 1 NOT NULL, CONSTRAINT "fk_rails_21c421fd41"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
);
CREATE UNIQUE INDEX "index_clients_on_user_id_and_name" ON "clients" ("user_id", "name");
CREATE INDEX "index_clients_on_user_id" ON "clients" ("user_id");
CREATE TABLE IF NOT EXISTS "projects" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "user_id" integer NOT NULL, "client_id" integer, "reference" varchar, "name" varchar DEFAULT '' NOT NULL, "subject" varchar DEFAULT '' NOT NULL, "description" text DEFAULT '' NOT NULL, "source_lang" varchar, "target_lang" varchar, "due_at" datetime(6), "begun_at" datetime(6), "opened_at" datetime(6), "last_segment_id" bigint, "proposed" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "rules" text, "deleted_at" datetime(6), "kind" varchar DEFAULT 'project' NOT NULL, "never_used" json DEFAULT '[]' NOT NULL, "never_translated" json DEFAULT '[]' NOT NULL, "file_pattern" varchar DEFAULT '' NOT NULL, "check_profile" json, "hand_over" json, "times_fixed" boolean DEFAULT 0 NOT NULL, "count_due" boolean DEFAULT 0 NOT NULL, "finished_at" datetime(6), CONSTRAINT "fk_rails_b872a6760a"
FOREIGN KEY ("user_id")
  REFERENCES "users" ("id")
, CONSTRAINT "fk_rails_8d9657cec3"
FOREIGN KEY ("client_id")
  REFERENCES "clients" ("id")
);
CREATE INDEX "index_projects_on_client_id" ON "projects" ("client_id");
CREATE INDEX "index_projects_on_user_id" ON "projects" ("user_id");
INSERT INTO "schema_migrations" (version) VALUES
('20261202030000'),
('20261202020000'),
('20261202010000'),
('20261202000000'),
('20261201236000'),
('20261201235000'),
('20261201230000'),
('20261201220000'),
('20261201210000'),
('20261201200000'),
('20261201190000'),
('20261201180000'),
('20261201160000'),
('20261201150000'),
('20261201090000'),
('20261127060000'),
('20261127050000'),
('20261127040000'),
('20261127030000'),
('20261127020000'),
('20261127010000'),
('20261127000000'),
('20261126230000'),
('20261126220000'),
('20261126210000'),
('20261126200000'),
('20261126190000'),
('20261126180000'),
('20261126170000'),
('20261126160000'),
('20261126150000'),
('20261126140000'),
('20261126130000'),
('20261126120000'),
('20261126110000'),
('20261126100000'),
('20261126090000'),
('20261125110000');

