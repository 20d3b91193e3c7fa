/** The server that the reloading page asks; told by `npm run dev`. */
module.exports = { '/api': { target: process.env.MERIDEX_API ?? 'http://127.0.0.1:4200', ws: true } };
