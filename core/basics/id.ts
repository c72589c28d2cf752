/** What a record is known by: letters, digits, _ and -, never used again. */
export type Id = string;
