// The server process. It must not outlive the command that started it, however that one ends.
process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
// The channel alone must not keep a server alive that has closed everything else.
process.channel?.unref();
const { server } = await import('../build/index.js');
// A picture over a poor network takes its time; what takes longer than this sends nothing, and is closed.
server.server.requestTimeout = 1000 * Number(process.env.REQUEST_TIMEOUT ?? 120);
