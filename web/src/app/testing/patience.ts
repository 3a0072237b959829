import { afterEach } from '@jest/globals';
import { onlineManager } from '@tanstack/react-query';
import { cleanup, configure } from '@testing-library/react';

// A busy machine makes tests late, not wrong.
configure({ asyncUtilTimeout: 20_000 });
afterEach(cleanup);
Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
// What another test file let the packages believe.
onlineManager.setOnline(true);
