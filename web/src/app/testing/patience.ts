import { configure } from '@testing-library/react';

// A busy machine makes tests late, not wrong.
configure({ asyncUtilTimeout: 20_000 });
