/** Titles and other things of the page's head come from the page itself. */
exports.Head = { Provider: ({ children }) => children };
