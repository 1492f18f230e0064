<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Http\Middleware\TakeTurns;
use FilesystemIterator;
use GuzzleHttp\Client;
use PHPUnit\Framework\TestCase;
use SplFileInfo;
use Symfony\Component\Process\Process;

/** What the commands leave on the machine: closed to others, and nothing running that nobody looks after. */
final class OperationsTest extends TestCase
{
    private static function bash(string $script): Process
    {
        $begin = '. bin/lib/common.sh; . bin/lib/instance.sh; use_instance '.escapeshellarg(Served::instance()).'; web_port=$(cat "$place/web-port"); ';

        return new Process(['bash', '-c', $begin.$script], dirname(__DIR__, 2), timeout: 90);
    }

    private static function place(): string
    {
        return trim(self::bash('echo "$place"')->mustRun()->getOutput());
    }

    /** No other account of the machine reads sessions, logs, what was worked out, settings with their passwords, or the database. */
    public function testWhatPeopleWroteAndWhatIsSecretIsClosedToOthers(): void
    {
        Person::registered('Cwen');
        $place = self::place();
        $looked = 0;
        foreach (['secret', 'cluster', 'log', 'code/storage', 'code/bootstrap/cache', 'code/.env', 'run/web'] as $inside) {
            $open = [];
            foreach (self::readable("$place/$inside") as $path) {
                $open[] = $path;
            }
            self::assertSame([], $open, $inside);
            self::assertFileExists("$place/$inside");
            $looked++;
        }
        self::assertSame(7, $looked);
        // What the web server sends out stays readable for it.
        self::assertSame('0644', substr(sprintf('%o', (int) fileperms("$place/code/public/index.php")), -4));
        foreach (['run', 'run/database'] as $folder) {
            self::assertSame(0, (int) fileperms("$place/$folder") & 0022, "$folder belongs to one user");
        }
    }

    /** @return iterable<string> files that another account could read, by their own modes and those of the folders they lie in */
    private static function readable(string $path): iterable
    {
        $mode = (int) fileperms($path);
        if (! is_dir($path)) {
            if (($mode & 0044) !== 0) {
                yield $path;
            }

            return;
        }
        // Nobody comes through a folder that may not be entered.
        if (($mode & 0011) === 0) {
            return;
        }
        foreach (new FilesystemIterator($path, FilesystemIterator::SKIP_DOTS) as $entry) {
            assert($entry instanceof SplFileInfo);
            yield from $entry->isLink() ? [] : self::readable($entry->getPathname());
        }
    }

    /** Killed by the system for want of memory a master leaves its workers: the next start ends them and takes its own port again. */
    public function testNothingIsLeftOfServersWhoseMasterWasKilled(): void
    {
        $left = static fn (): string => trim(self::bash('leftovers')->mustRun()->getOutput());
        self::assertSame('', $left(), 'all of them have a master');
        Served::does('master-kill');
        self::assertGreaterThan(3, count(explode("\n", $left())), 'workers without their masters');
        Served::does('web-up');
        self::assertSame('', $left());
        self::assertSame(201, Person::registered('Osgar')->call('POST', 'projects', ['name' => 'Staithe'])[0]);
    }

    /** Killed hard, or at the end of its day, the worker that reads archives takes up its work again; told to stop it leaves nothing. */
    public function testTheWorkerTakesUpItsWorkAgain(): void
    {
        $find = 'pid=$(cat "$run/web/worker.pid"); for child in $(cat "/proc/$pid/task/$pid/children"); do '
            .'! grep -aqs queue:work "/proc/$child/cmdline" || echo "$child"; done';
        $worker = static fn (): string => trim(self::bash($find)->mustRun()->getOutput());
        $before = $worker();
        self::assertMatchesRegularExpression('/^\d+$/', $before);
        self::bash("kill -KILL $before")->mustRun();
        for ($i = 0; $i < 100 && in_array($worker(), ['', $before], true); $i++) {
            usleep(100_000);
        }
        self::assertMatchesRegularExpression('/^\d+$/', $worker());
        self::assertNotSame($before, $worker());
        self::bash('worker_down; for i in $(seq 50); do [ -n "$(leftovers)" ] || break; sleep 0.1; done; [ -z "$(leftovers)" ]; worker_up')->mustRun();
    }

    /** Where one web server after another crashes, what they share may be broken: all begin afresh, under the same master. */
    public function testWebServersThatCrashTimeAndAgainBeginAfresh(): void
    {
        $children = static fn (): array => explode(' ', trim(self::bash('pid=$(cat "$run/web/fpm.pid"); cat "/proc/$pid/task/$pid/children"')->mustRun()->getOutput()));
        $before = $children();
        self::assertGreaterThan(TakeTurns::AT_ONCE + TakeTurns::WAITING, count($before), 'one person cannot hold all');
        self::bash('kill -SEGV '.implode(' ', array_slice($before, 0, 4)))->mustRun();
        for ($i = 0; $i < 400 && (count($children()) < count($before) || array_intersect($before, $children()) !== []); $i++) {
            usleep(100_000);
        }
        self::assertSame([], array_intersect($before, $children()), 'those that did not crash were replaced too');
        self::assertSameSize($before, $children());
        self::assertSame(200, (new Client(['base_uri' => Served::address(), 'http_errors' => false]))->get('/api/me')->getStatusCode());
    }

    /** What is too large for the server is refused in words, before it reaches the application. */
    public function testWhatIsLargerThanTheServerTakesIsRefusedInWords(): void
    {
        $file = tmpfile();
        self::assertIsResource($file);
        ftruncate($file, 70_000_000);
        $answer = (new Client(['base_uri' => Served::address(), 'http_errors' => false]))->post('/api/projects/import', [
            'multipart' => [['name' => 'archive', 'filename' => 'large.zip', 'contents' => $file]],
        ]);
        self::assertSame(413, $answer->getStatusCode());
        self::assertSame(['message' => 'This is larger than the 64 MB that are taken. Nothing was kept.'], json_decode((string) $answer->getBody(), true));
    }

    /** A database that mends itself after one of its processes was killed is waited for. */
    public function testAStartWaitsForADatabaseThatMendsItself(): void
    {
        for ($i = 0; $i < 3; $i++) {
            $kill = 'pid=$(admin_sql -d postgres -c "select pid from pg_stat_activity where backend_type = \'checkpointer\'"); kill -KILL $pid; ';
            $start = self::bash($kill.'database_up && create_database chartula');
            self::assertSame(0, $start->run(), $start->getErrorOutput().$start->getOutput());
        }
        self::assertSame(201, Person::registered('Wulf')->call('POST', 'projects', ['name' => 'Staithe'])[0]);
    }

    public function testBeforeAnySetUpTheCommandSaysWhatToRun(): void
    {
        $folder = sys_get_temp_dir().'/chartula-bare-'.bin2hex(random_bytes(4));
        mkdir("$folder/bin", recursive: true);
        copy(dirname(__DIR__, 2).'/bin/chartula', "$folder/bin/chartula");
        $bare = new Process(['php', "$folder/bin/chartula", 'kit', 'x.json']);
        self::assertSame(1, $bare->run());
        self::assertStringContainsString('run bin/start once', $bare->getErrorOutput());
        self::assertSame('', $bare->getOutput());
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }
}
