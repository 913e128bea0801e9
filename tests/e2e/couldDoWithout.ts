/** Whether the device answers by itself for the page it is run on, and keeps a house. */
export async function couldDoWithout(): Promise<boolean> {
  if (!navigator.serviceWorker.controller) return false;
  const open = await new Promise<IDBDatabase>((resolve, reject) => {
    const request = indexedDB.open('oak-tally');
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error);
  });
  const count = await new Promise<number>((resolve) => {
    const request = open.transaction('seen').objectStore('seen').count();
    request.onsuccess = () => resolve(request.result);
  });
  open.close();
  return count > 0;
}
