/**
 * Icons of the set that are marks of companies and products, by the set’s own tags (Material Design Icons
 * 7.4.47, “Brand / Logo”): a menu does not offer them.
 */
export const companyMarks: ReadonlySet<string> = new Set(
  `
android android-studio angular angularjs ansible apache-kafka apple apple-finder apple-icloud apple-ios apple-safari arch artstation atlassian aws
babel bitbucket bitcoin black-mesa blender-software bootstrap box bulma centos codepen cordova creative-commons cryengine debian dev-to deviantart
digital-ocean disqus dlna docker dolby dot-net dropbox drupal electron-framework ember emby eslint ethereum evernote facebook facebook-gaming
facebook-messenger facebook-workplace fedora firebase firefox folder-google-drive font-awesome freebsd gatsby gentoo git github gitlab gmail gnome gog
goodreads google google-ads google-analytics google-assistant google-cardboard google-chrome google-circles google-circles-communities
google-circles-extended google-circles-group google-classroom google-cloud google-drive google-earth google-fit google-glass google-hangouts
google-keep google-lens google-maps google-play google-plus google-translate graphql home-assistant hulu humble-bundle instagram iobroker jabber jira
jquery jsfiddle kickstarter kodi kubernetes language-c language-cpp language-csharp language-css3 language-fortran language-go language-haskell
language-html5 language-java language-javascript language-kotlin language-lua language-markdown language-markdown-outline language-php language-python
language-r language-ruby language-ruby-on-rails language-rust language-swift language-typescript language-xaml laravel lastpass linkedin linux
linux-mint litecoin lumx manjaro mapbox mastodon material-design material-ui meteor microsoft microsoft-access microsoft-azure microsoft-azure-devops
microsoft-bing microsoft-dynamics-365 microsoft-edge microsoft-excel microsoft-internet-explorer microsoft-office microsoft-onedrive microsoft-onenote
microsoft-outlook microsoft-powerpoint microsoft-sharepoint microsoft-teams microsoft-visual-studio microsoft-visual-studio-code microsoft-windows
microsoft-windows-classic microsoft-word microsoft-xbox midi minecraft nativescript netflix nfc nintendo-switch nintendo-wii nintendo-wiiu nix nodejs
npm nuxt oci odnoklassniki onepassword open-source-initiative openid opera origin pandora patreon pi-hole pinterest plex pokemon-go polymer qi qqchat
react reddit redhat rollupjs salesforce sass semantic-web simple-icons sina-weibo skype skype-business slack snapchat sony-playstation soundcloud
spotify stack-exchange stack-overflow stackpath steam svg symfony tailwind teamviewer terraform trello twitch twitter ubisoft ubuntu umbraco unicode
unity unreal vimeo vlc vuejs vuetify waze webpack webrtc wechat whatsapp wikipedia wordpress xamarin xmpp yahoo youtube youtube-gaming youtube-studio
youtube-subscription youtube-tv z-wave zend zigbee
`
    .trim()
    .split(/\s+/),
);
