import { compileGuide } from '@pause/core';
import { lint } from '@pause/core/questions';
import { shippedGuide } from '@pause/guide';
const g=compileGuide(shippedGuide());
for (const f of lint(g)) console.log(JSON.stringify(f));
