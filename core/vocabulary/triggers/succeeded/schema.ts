/** It says nothing beside its kind. */
export const succeeded = {};
