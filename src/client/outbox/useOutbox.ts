'use client';

import { useSyncExternalStore } from 'react';
import { EMPTY_OUTBOX, listenToOutbox, type OutboxState, outboxState } from './theOutbox';

/** What waits on this device to be sent. */
export const useOutbox = (): OutboxState => useSyncExternalStore(listenToOutbox, outboxState, () => EMPTY_OUTBOX);
