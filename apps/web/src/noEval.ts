import { config } from 'zod';

// The page’s security policy forbids code made of text; the schema library would try once, and be reported.
config({ jitless: true });
