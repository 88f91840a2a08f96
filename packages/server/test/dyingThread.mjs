// The editor's thread as it is built, which ends by an error whenever a test says so.
const plug = new BroadcastChannel('zorvik-test-plug');
plug.onmessage = () => {
  setImmediate(() => {
    throw new Error('Somebody pulled the plug');
  });
};
plug.unref();
await import('../../../build/server/editorThread.js');
