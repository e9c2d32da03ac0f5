// what is waited for is seen as soon as it is there; a busy machine takes longer than the second that is usual
require('@testing-library/react').configure({ asyncUtilTimeout: 120_000 });
