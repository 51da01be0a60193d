/** What a request takes a file as. */
export async function base64Of(content: Blob): Promise<string> {
  const bytes = new Uint8Array(await content.arrayBuffer());
  const part = 0x8000;
  let binary = '';
  for (let i = 0; i < bytes.length; i += part) binary += String.fromCharCode(...bytes.subarray(i, i + part));
  return btoa(binary);
}
