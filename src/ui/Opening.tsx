/** What stands where something is being fetched that was opened by a press. */
export const Opening = () => <span className="loading loading-dots" role="status" aria-label="opening" />;
