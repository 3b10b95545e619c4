/** Less than half of what this device grants is in use: what waits to be sent must always find room. */
export async function hasRoom(): Promise<boolean> {
  const { storage } = navigator as { storage?: StorageManager }
  if (!storage) return true
  const { usage = 0, quota = Infinity } = await storage.estimate()
  return usage < quota / 2
}
