<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Throwable;

/**
 * Drives the real interface in a headless browser against the served application. Each test gets a window of its own, and
 * nothing that an earlier one stored.
 */
abstract class BrowserTestCase extends TestCase
{
    /** Whether its tests look at what is drawn in space: that costs a software renderer for every picture. */
    protected const DRAWS_IN_SPACE = false;

    /** @var array{int, int} of the window, width and height, px: a picture of 1280 × 800 */
    protected const WINDOW = [1280, 943];

    private const WAIT_S = 20;

    protected RemoteWebDriver $browser;

    protected string $downloads;

    protected function setUp(): void
    {
        $shared = SharedBrowser::of(static::DRAWS_IN_SPACE === true);
        $this->browser = $shared->driver;
        $this->downloads = $shared->downloads;
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
    protected function arrive(): void
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
        $this->openAs(Person::inTheDemo(), '/');
        $this->link('Weigh office');
    }

    /** Opens a page in that person's session. An answer to an earlier test, still on its way, may bring its own session back. */
    private function openAs(Person $person, string $path): void
    {
        $tools = new ChromeDevToolsDriver($this->browser);
        for ($try = 0; $try < 5; $try++) {
            foreach ($person->cookies() as $name => $value) {
                $tools->execute('Network.setCookie', ['name' => $name, 'value' => $value, 'url' => Served::address()]);
            }
            $this->open($path);
            if (
                $this->browser->executeScript(
                    "return fetch('/api/me').then(r => r.json()).then(a => a.user?.email ?? '')",
                ) === $person->email
            ) {
                return;
            }
        }
        self::fail("The browser does not keep the session of $person->email");
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

    /** In view, and where it stays: pictures that come move what lies below them. */
    protected function link(string $text): RemoteWebElement
    {
        $xpath = "//a[normalize-space()='$text' or .//*[normalize-space()='$text']]";
        $this->find($xpath);
        $was = null;
        $this->browser->wait(self::WAIT_S, 150)->until(function () use ($xpath, &$was): bool {
            $at = $this->browser->executeScript(<<<'JS'
                const link = document.evaluate(arguments[0], document, null, XPathResult.FIRST_ORDERED_NODE_TYPE).singleNodeValue;
                link?.scrollIntoView({block: 'nearest'});
                return link === null ? null : Math.round(link.getBoundingClientRect().top);
                JS, [$xpath]);
            [$isStill, $was] = [$at !== null && $at === $was, $at];

            return $isStill;
        }, "“{$text}” does not stay where it is");

        return $this->find($xpath);
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

    /** A building of one's own, begun by the server's answers alone and opened at its first stage. */
    protected function beginBuilding(string $person, string $project): string
    {
        $owner = Person::registered($person);
        $building = $owner->begin($project);
        $this->openAs($owner, "/buildings/$building/prototype");
        $this->heading('The real building');

        return "/buildings/$building";
    }

    /** Pressed at once, however slow the machine: what is pressed within a second is one revision. */
    protected function keys(string ...$keys): void
    {
        $this->browser->getKeyboard()->sendKeys(implode('', $keys));
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
        if ($this->browser->executeScript('return window.axe === undefined') === true) {
            $axe = file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js');
            // The page's own content policy forbids scripts from text, but the driver may bring one along.
            $this->browser->executeScript($axe === false ? throw new RuntimeException('axe is missing') : $axe);
        }
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
}
