<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Throwable;

/**
 * Drives the real interface in a headless browser against the served application. One browser serves a class; each test
 * gets a window of its own, and nothing that an earlier one stored.
 */
abstract class BrowserTestCase extends TestCase
{
    /** Whether its tests look at what is drawn in space: that costs a software renderer for every picture. */
    protected const DRAWS_IN_SPACE = false;

    /** Of the window, as wide and as high, px: a picture of 1280 × 800. */
    /** @var array{int, int} */
    protected const WINDOW = [1280, 943];

    private const WAIT_S = 20;

    private const ARGUMENTS = [
        '--headless=new', '--no-sandbox', '--disable-dev-shm-usage', '--window-size=1280,943', '--hide-scrollbars',
        '--force-device-scale-factor=1', '--force-prefers-reduced-motion', '--disable-background-networking',
        '--disable-component-update', '--disable-sync', '--no-first-run', '--no-default-browser-check', '--disable-default-apps',
        '--disable-extensions', '--metrics-recording-only', '--disable-domain-reliability',
        '--disable-features=OptimizationHints,MediaRouter,Translate', '--no-proxy-server',
        '--host-resolver-rules=MAP * ^NOTFOUND,EXCLUDE 127.0.0.1',
    ];

    private const WITH_SPACE = ['--disable-gpu', '--enable-unsafe-swiftshader'];

    private const WITHOUT_SPACE = ['--disable-gpu'];

    /** @var resource|null */
    private static $driverProcess = null;

    private static ?RemoteWebDriver $shared = null;

    private static string $folder = '';

    protected RemoteWebDriver $browser;

    protected string $downloads;

    public static function setUpBeforeClass(): void
    {
        $port = self::freePort();
        $null = ['file', '/dev/null', 'w'];
        $process = proc_open(['chromedriver', "--port=$port", '--log-level=OFF'], [1 => $null, 2 => $null], $pipes);
        self::$driverProcess = is_resource($process) ? $process : throw new RuntimeException('ChromeDriver did not start');
        for ($i = 0; $i < 100 && @fsockopen('127.0.0.1', $port) === false; $i++) {
            usleep(50_000);
        }
        self::$folder = sys_get_temp_dir().'/chartula-downloads-'.bin2hex(random_bytes(4));
        mkdir(self::$folder);
        self::$shared = self::begun($port);
    }

    private static function begun(int $port): RemoteWebDriver
    {
        $options = new ChromeOptions;
        $options->addArguments([...self::ARGUMENTS, ...(static::DRAWS_IN_SPACE === true ? self::WITH_SPACE : self::WITHOUT_SPACE)]);
        $options->setExperimentalOption('prefs', ['download.default_directory' => self::$folder, 'download.prompt_for_download' => false]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);

        return RemoteWebDriver::create("http://127.0.0.1:$port", $capabilities);
    }

    public static function tearDownAfterClass(): void
    {
        self::$shared?->quit();
        self::$shared = null;
        if (self::$driverProcess !== null) {
            proc_terminate(self::$driverProcess);
            proc_close(self::$driverProcess);
            self::$driverProcess = null;
        }
        rmdir(self::$folder);
    }

    protected function setUp(): void
    {
        $this->browser = self::$shared ?? throw new RuntimeException('There is no browser');
        $this->downloads = self::$folder;
        $this->openWindow();
        $this->browser->manage()->getLog('browser');
    }

    protected function tearDown(): void
    {
        if ($this->status()->isFailure() || $this->status()->isError()) {
            $this->tellWhereItStopped();
        }
        array_map(unlink(...), $this->files('*'));
    }

    private function tellWhereItStopped(): void
    {
        try {
            $text = mb_substr($this->browser->findElement(WebDriverBy::tagName('body'))->getText(), 0, 1500);
            fwrite(STDERR, "\n{$this->name()} stopped at {$this->browser->getCurrentURL()} with:\n$text\n");
            $this->browser->takeScreenshot(sys_get_temp_dir().'/chartula-'.$this->name().'.png');
        } catch (Throwable) {
            // The browser may be gone already; the failure itself is what counts.
        }
    }

    /** A new window instead of all that are open, since a tab keeps things for itself, and no cookies nor anything stored. */
    private function openWindow(): void
    {
        $old = $this->windows();
        $fresh = $this->browser->switchTo()->newWindow()->getWindowHandle();
        foreach ($old as $window) {
            $this->browser->switchTo()->window($window)->close();
        }
        $this->browser->switchTo()->window($fresh);
        $this->browser->manage()->window()->setSize(new WebDriverDimension(...static::WINDOW));
        $this->forgetWhatIsStored();
    }

    /** @return list<string> */
    protected function windows(): array
    {
        return array_values(array_filter($this->browser->getWindowHandles(), is_string(...)));
    }

    private function forgetWhatIsStored(): void
    {
        $tools = new ChromeDevToolsDriver($this->browser);
        $tools->execute('Network.clearBrowserCookies');
        $tools->execute(
            'Storage.clearDataForOrigin',
            ['origin' => Served::address(), 'storageTypes' => 'local_storage,indexeddb,cache_storage'],
        );
    }

    /** The front page as a stranger sees it. An answer to an earlier test, still on its way, may have brought its session back. */
    private function arrive(): void
    {
        $this->open('/');
        $button = $this->find("//button[normalize-space()='I am new here' or normalize-space()='Sign out']");
        if ($button->getText() === 'Sign out') {
            $this->forgetWhatIsStored();
            $this->open('/');
        }
    }

    protected function open(string $path): void
    {
        $this->browser->get(Served::address().$path);
    }

    protected function enterDemo(): void
    {
        $this->arrive();
        $this->press('Look round the demo');
        $this->link('Weigh office');
    }

    protected function register(string $name): void
    {
        $this->arrive();
        $this->press('I am new here');
        $this->type('Your name', $name);
        $this->type('E-mail address', strtolower($name).'-'.bin2hex(random_bytes(4)).'@marrowmere.example');
        $this->type('Password', 'a long password');
        $this->press('Make the account');
        $this->heading('No project yet');
    }

    /**
     * Ends the session on the server while the page stays as it is. An answer still on its way can bring the old
     * session back, so it is ended until it stays ended.
     */
    protected function endSession(): void
    {
        $ended = 0;
        $this->browser->wait(self::WAIT_S, 300)->until(function () use (&$ended): bool {
            $out = $this->browser->executeScript(<<<'JS'
                const token = () => decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');
                const me = await (await fetch('/api/me')).json();
                if (me.user === null) return true;
                await fetch('/api/sign-out', {method: 'POST', headers: {'Accept': 'application/json', 'X-XSRF-TOKEN': token()}});
                return false;
                JS);
            $ended = $out === true ? $ended + 1 : 0;

            return $ended === 2;
        }, 'The session did not end');
    }

    protected function find(string $xpath): RemoteWebElement
    {
        // What was seen once is given: it may be gone a moment later, as a running figure is.
        $seen = [];
        $this->browser->wait(self::WAIT_S, 50)->until(function () use ($xpath, &$seen): bool {
            $seen = $this->browser->findElements(WebDriverBy::xpath($xpath));

            return $seen !== [];
        }, "No $xpath");
        $this->addToAssertionCount(1);

        return $seen[0] ?? throw new RuntimeException("No $xpath");
    }

    protected function press(string $button): void
    {
        // A page that is just being drawn anew takes the button away between finding and pressing it.
        for ($try = 1; ; $try++) {
            try {
                $this->find("//button[normalize-space()='$button'][not(@disabled)]")->click();

                return;
            } catch (StaleElementReferenceException $e) {
                if ($try === 3) {
                    throw $e;
                }
            }
        }
    }

    protected function link(string $text): RemoteWebElement
    {
        return $this->find("//a[normalize-space()='$text' or .//*[normalize-space()='$text']]");
    }

    protected function heading(string $text): void
    {
        $this->find("//*[self::h1 or self::h2 or self::h3][normalize-space()='$text']");
    }

    protected function field(string $label): RemoteWebElement
    {
        $id = $this->find("//label[normalize-space()='$label']")->getAttribute('for');

        return $this->find("//*[@id='$id']");
    }

    /** Replaces what stands in a field and leaves it. */
    protected function type(string $label, string $text, bool $leave = true): void
    {
        $this->field($label)
            ->sendKeys([WebDriverKeys::CONTROL, 'a'])
            ->sendKeys([WebDriverKeys::NULL, $text.($leave ? WebDriverKeys::TAB : '')]);
    }

    protected function saved(int $revision): void
    {
        $this->find("//*[@data-save='saved'][contains(., 'revision $revision')]");
    }

    protected function sees(string $text): void
    {
        $this->find("//body[contains(., \"$text\")]");
    }

    /** The building's own part of the address, for opening one of its pages. */
    protected function building(): string
    {
        $this->find("//nav[@aria-label='Stages']");

        return implode('/', array_slice(explode('/', (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH)), 0, 3));
    }

    /** A building of one's own, opened at its first stage. */
    protected function beginBuilding(string $person, string $project): string
    {
        $this->register($person);
        $this->type('New project', $project, leave: false);
        $this->press('Begin the project');
        $this->press('New building');
        $this->heading('The real building');

        return $this->building();
    }

    protected function keys(string ...$keys): void
    {
        foreach ($keys as $key) {
            $this->browser->getKeyboard()->sendKeys($key);
        }
    }

    protected function downloaded(string $pattern): string
    {
        $this->browser->wait(self::WAIT_S, 100)->until(fn (): bool => $this->files($pattern) !== [], "No file $pattern came");

        return $this->files($pattern)[0] ?? throw new RuntimeException("$pattern is gone again");
    }

    /** @return list<string> what has been downloaded */
    private function files(string $pattern): array
    {
        $files = glob("$this->downloads/$pattern");

        return $files === false ? [] : $files;
    }

    /** As narrow as a phone at the bench: a window that is no narrower than the browser allows, and a page of 360 px in it. */
    protected function narrowToAPhone(): void
    {
        $this->browser->manage()->window()->setSize(new WebDriverDimension(500, 900));
        $this->browser->executeScript('document.documentElement.style.width = "360px"');
    }

    /** How far to the right anything of the stage reaches, px. */
    protected function rightmost(): float
    {
        $right = $this->browser->executeScript(
            'return Math.max(...[...document.querySelectorAll(".stage-body > *")].map(e => e.getBoundingClientRect().right))',
        );
        self::assertIsNumeric($right);

        return (float) $right;
    }

    /** Nothing serious by the accessibility rules, and nothing in the console. */
    protected function assertSound(string $where): void
    {
        $this->assertAccessible($where);
        $this->assertQuiet($where);
    }

    protected function assertAccessible(string $where): void
    {
        $axe = file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js');
        // The page's own content policy forbids scripts from text, but the driver may bring one along.
        $this->browser->executeScript($axe === false ? throw new RuntimeException('axe is missing') : $axe);
        $found = $this->browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; axe.run(document, {resultTypes: ["violations"]}).then(r => done(r.violations.filter(v => ["serious", "critical"].includes(v.impact)).map(v => v.id + ": " + v.nodes.map(n => n.target.join(" ")).slice(0, 3).join(", "))));',
        );
        self::assertSame([], $found, $where);
    }

    protected function assertQuiet(string $where): void
    {
        $log = array_filter($this->browser->manage()->getLog('browser'), static fn (mixed $entry): bool => is_array($entry) && in_array($entry['level'], ['SEVERE', 'WARNING'], true)
            && is_string($entry['message']) && ! str_contains($entry['message'], 'GL Driver Message'));
        self::assertSame([], array_column($log, 'message'), "console at $where");
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new RuntimeException('No port is free');
        }
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }
}
