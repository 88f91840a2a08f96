/** The types name this module without its file, which Node needs. */
declare module 'selenium-webdriver/http/index.js' {
  export { Executor, HttpClient } from 'selenium-webdriver/http';
}
