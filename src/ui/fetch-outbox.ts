/** What sends commands that wait: fetched at the first touch, so that it is there when the connection is not. */
export const fetchOutbox = () => import('./outbox');
