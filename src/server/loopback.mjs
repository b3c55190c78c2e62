// @ts-check

/** Whether only this machine reaches an address. Asked before anything is installed. @param {string} host */
export const isLoopback = (host) => ['localhost', '::1'].includes(host) || /^127\./.test(host);
