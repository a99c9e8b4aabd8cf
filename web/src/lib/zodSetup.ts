import { config } from 'zod/v4/core';

// The page forbids making code from strings. Imported first, before any schema is used.
config({ jitless: true });
