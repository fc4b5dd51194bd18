-- Once, as a superuser: who owns the tables, and whom the servers work as. Row security holds for the second.
-- psql -v owner_password=... -v app_password=... -f roles.sql
create role toile_owner login nosuperuser nobypassrls nocreatedb nocreaterole password :'owner_password';
create role toile_app login nosuperuser nobypassrls nocreatedb nocreaterole password :'app_password';
create database toile owner toile_owner;
-- The servers ask for these too; behind a pooler only the role can say them.
alter role toile_app set statement_timeout = '30s';
alter role toile_app set lock_timeout = '10s';
alter role toile_app set idle_in_transaction_session_timeout = '60s';
