<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;

/** A headless browser with its driver, begun once for all tests of a process and ended with it. */
final class SharedBrowser
{
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

    /** @var array<int, self> */
    private static array $begun = [];

    /** @param  resource  $process */
    private function __construct(
        public readonly RemoteWebDriver $driver,
        public readonly string $downloads,
        private $process,
    ) {
    }

    /** @param  bool  $drawsInSpace  whether it has a renderer for what is drawn in space, which is slow */
    public static function of(bool $drawsInSpace): self
    {
        return self::$begun[(int) $drawsInSpace] ??= self::begin($drawsInSpace ? self::WITH_SPACE : self::WITHOUT_SPACE);
    }

    /** @param  list<string>  $arguments */
    private static function begin(array $arguments): self
    {
        $port = self::freePort();
        $null = ['file', '/dev/null', 'w'];
        $process = proc_open(['chromedriver', "--port=$port", '--log-level=OFF'], [1 => $null, 2 => $null], $pipes);
        if (! is_resource($process)) {
            throw new RuntimeException('ChromeDriver did not start');
        }
        for ($i = 0; $i < 100 && @fsockopen('127.0.0.1', $port) === false; $i++) {
            usleep(50_000);
        }
        $downloads = sys_get_temp_dir().'/chartula-downloads-'.bin2hex(random_bytes(4));
        mkdir($downloads);
        $begun = new self(self::driver($port, $downloads, $arguments), $downloads, $process);
        register_shutdown_function($begun->end(...));

        return $begun;
    }

    /** @param  list<string>  $arguments */
    private static function driver(int $port, string $downloads, array $arguments): RemoteWebDriver
    {
        $options = new ChromeOptions;
        $options->addArguments([...self::ARGUMENTS, ...$arguments]);
        $options->setExperimentalOption('prefs', ['download.default_directory' => $downloads, 'download.prompt_for_download' => false]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);

        return RemoteWebDriver::create("http://127.0.0.1:$port", $capabilities);
    }

    private function end(): void
    {
        $this->driver->quit();
        proc_terminate($this->process);
        proc_close($this->process);
        rmdir($this->downloads);
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
