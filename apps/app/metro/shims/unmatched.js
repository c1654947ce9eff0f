/** The app has a page of its own for an address that leads nowhere (app/+not-found.tsx), and shows no list of its pages. */
exports.Unmatched = () => null;
exports.Sitemap = () => null;
