// The server process. It must not outlive the command that started it, however that one ends.
process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
// The channel alone must not keep a server alive that has closed everything else.
process.channel?.unref();
await import('../build/index.js');
