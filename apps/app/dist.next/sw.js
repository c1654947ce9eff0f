// Opens the app with no signal: the build's own files come from here, the server's answers never do.
const VERSION = "ac3214cfe879af63";
const FILES = ["/","/_expo/static/js/web/+not-found-41624c247746ce2a4b67a56bed7bf773.js","/_expo/static/js/web/[id]-e15a3c709c4f54021de6e1be6d25be9a.js","/_expo/static/js/web/[id]-e90c97b230be58cc2175ab3de8eca19e.js","/_expo/static/js/web/__common-d0bf2d02efca549315959173c524ed86.js","/_expo/static/js/web/__expo-metro-runtime-ed4c1cfa6193d76fc294130e42bd1916.js","/_expo/static/js/web/_layout-1aa69437462f74744fb686337beaaf4a.js","/_expo/static/js/web/_layout-fa99323534911906c29fce44d07fabf4.js","/_expo/static/js/web/containers-efa0c5275fe6fc5db8cb7083bad0d737.js","/_expo/static/js/web/entry-532159d1cf4aa1d19aff903365a06206.js","/_expo/static/js/web/fit-770c43db6677edc8dcbbf45cec0c0787.js","/_expo/static/js/web/get-1c1d364cbb9de4450de1eac315d6f7f4.js","/_expo/static/js/web/history-ba29c7336a30dc76f476ee26c0b7ee12.js","/_expo/static/js/web/household-1636a45eaaeaa47ffe36dd8bb102146a.js","/_expo/static/js/web/index-2abb37087f47b75dd86531675694222b.js","/_expo/static/js/web/index-9193614ff01c8c594301734b068baf86.js","/_expo/static/js/web/joiRules-566a173558d4acd37350e79eca979ce8.js","/_expo/static/js/web/measure-f3271565f3d4bd00a72082d093f01474.js","/_expo/static/js/web/mix-ee33cc84cb6c8cb6b49c50861093d6d6.js","/_expo/static/js/web/new-b455b2cd0b3cd4fd39ab61b3472424e7.js","/_expo/static/js/web/nooks-bd41e0fd6b3a53774bb9fee3ea32c912.js","/_expo/static/js/web/papaparse-7f609fbfefe5bf24103c69ce644682f6.js","/_expo/static/js/web/record-fa08d07845bfdf2d8a14bc2a30a51b93.js","/_expo/static/js/web/restock-5d4cfa34578bd1662e20b3c1fa5df105.js","/_expo/static/js/web/rounds-3f46ab80ee1f3c6db04643e467ea596d.js","/_expo/static/js/web/sign-in-35305443e7a834576666cec076a2ce06.js","/_expo/static/js/web/sort-818b445f7b0787f9316bf04af1553768.js","/_expo/static/js/web/waiting-c1341d5b9dd58244ac84a91e5e634401.js","/assets/__node_modules/@expo-google-fonts/atkinson-hyperlegible-mono/400Regular/AtkinsonHyperlegibleMono_400Regular.afdd086af1306fd386d424baffc41844.ttf","/assets/__node_modules/@expo-google-fonts/atkinson-hyperlegible-mono/700Bold/AtkinsonHyperlegibleMono_700Bold.407bef1e7a4cc4ce4ee4f4e75abd29e7.ttf","/assets/__node_modules/@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.86635252a71fd7c43fd5b0c41bdc5d54.ttf","/assets/__node_modules/@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.5cf92f89d6fa6a976d135e61e9ffde1f.ttf","/assets/__node_modules/@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.323c4dcf2ec35621a49fc9d33eed9fbd.ttf","/assets/__node_modules/expo-router/assets/arrow_down.017bc6ba3fc25503e5eb5e53826d48a8.png","/assets/__node_modules/expo-router/assets/error.d1ea1496f9057eb392d5bbf3732a61b7.png","/assets/__node_modules/expo-router/assets/file.19eeb73b9593a38f8e9f418337fc7d10.png","/assets/__node_modules/expo-router/assets/forward.d8b800c443b8972542883e0b9de2bdc6.png","/assets/__node_modules/expo-router/assets/pkg.ab19f4cbc543357183a20571f68380a3.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/back-icon-mask.0a328cd9c1afd0afe8e3b1ec5165b1b4.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/back-icon.35ba0eaec5a4f5ed12ca16fabeae451d.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/clear-icon.c94f6478e7ae0cdd9f15de1fcb9e5e55.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/clear-icon.c94f6478e7ae0cdd9f15de1fcb9e5e55@2x.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/clear-icon.c94f6478e7ae0cdd9f15de1fcb9e5e55@3x.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/clear-icon.c94f6478e7ae0cdd9f15de1fcb9e5e55@4x.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/close-icon.808e1b1b9b53114ec2838071a7e6daa7.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/close-icon.808e1b1b9b53114ec2838071a7e6daa7@2x.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/close-icon.808e1b1b9b53114ec2838071a7e6daa7@3x.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/close-icon.808e1b1b9b53114ec2838071a7e6daa7@4x.png","/assets/__node_modules/expo-router/assets/react-navigation/elements/search-icon.286d67d3f74808a60a78d3ebf1a5fb57.png","/assets/__node_modules/expo-router/assets/sitemap.412dd9275b6b48ad28f5e3d81bb1f626.png","/assets/__node_modules/expo-router/assets/unmatched.20e71bdf79e3a97bf55fd9e164041578.png","/icon.svg","/manifest.webmanifest","/plan.worker.js"];
const CACHE = `nook-${VERSION}`;

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(FILES))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name))))
      .then(() => self.clients.claim()),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return;
  if (request.mode === 'navigate') {
    // The kept page first: in a cellar with a weak signal nobody waits for the network to give up. A new build takes over
    // when its own worker has fetched all of it.
    event.respondWith(caches.match('/').then((kept) => kept ?? fetch(request)));
    return;
  }
  event.respondWith(caches.match(request, { ignoreSearch: true }).then((kept) => kept ?? fetch(request)));
});
