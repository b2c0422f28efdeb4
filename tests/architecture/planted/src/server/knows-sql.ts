import Database from 'better-sqlite3';
export const uses = Database;
