<?php

declare(strict_types=1);

/*
 * Times many people at once over HTTP, against a running bin/start: each their own weigh office or creamery.
 *
 *   php bench/load.php edits [address] [people] [seconds]   each an edit every ten seconds
 *   php bench/load.php restless [address] [people] [seconds]   each an edit as soon as the last is answered
 *   php bench/load.php pdfs [address] [people]              each the PDF of their unchanged building, twice
 *   php bench/load.php greedy [address]                     one person asks for 40 drawings at once while another looks at their projects
 *
 * They all register from one place: start it with CHARTULA_SIGN_IN_LIMIT=1000.
 */

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\Utils;
use Psr\Http\Message\ResponseInterface;

require __DIR__.'/../vendor/autoload.php';

$what = $argv[1] ?? 'edits';
$address = $argv[2] ?? 'http://127.0.0.1:8080';
$people = (int) ($argv[3] ?? ['edits' => 50, 'restless' => 50, 'pdfs' => 20, 'greedy' => 2][$what]);
$seconds = (int) ($argv[4] ?? 60);
$uuid = static fn (): string => preg_replace('/^(.{8})(.{4}).(.{3}).(.{3})(.{12})$/', '$1-$2-4$3-a$4-$5', bin2hex(random_bytes(16)));
$curl = new CurlMultiHandler(['select_timeout' => 0.005]);
$client = new Client(['base_uri' => $address, 'http_errors' => false, 'handler' => HandlerStack::create($curl)]);
$ask = static fn (CookieJar $jar, string $method, string $path, array $data = []) => $client->requestAsync($method, "/api/$path", [
    'cookies' => $jar,
    ...($method === 'GET' ? [] : ['json' => $data]),
    'headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => urldecode($jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? '')],
]);
$now = static fn (CookieJar $jar, string $method, string $path, array $data = []): mixed
    => json_decode((string) $ask($jar, $method, $path, $data)->wait()->getBody());

$signedIn = [];
for ($i = 0; $i < $people; $i++) {
    $jar = new CookieJar;
    $now($jar, 'GET', 'me');
    $now(
        $jar,
        'POST',
        'register',
        ['name' => 'Bench', 'email' => bin2hex(random_bytes(6)).'@marrowmere.example', 'password' => 'a long password'],
    );
    $project = $now($jar, 'POST', 'projects', ['name' => 'Bench'])->project->id;
    $creamery = $i % 2 === 1;
    $document = (string) file_get_contents(__DIR__.'/../docs/examples/'.($creamery ? 'creamery' : 'weigh-office').'.json');
    // Nobody has exactly what somebody else has.
    $document = preg_replace('/"name": "/', '${0}'.bin2hex(random_bytes(4)).' ', $document, 1);
    $building = $now($jar, 'POST', "projects/$project/buildings", ['client_id' => $uuid(), 'document' => $document])->id;
    $signedIn[] = [$jar, $project, $building, $creamery ? 'hall.front' : 'front'];
}

$times = $statuses = [];
$timed = static function (CookieJar $jar, string $method, string $path, array $data = []) use ($ask, &$times, &$statuses) {
    $start = hrtime(true);

    return $ask($jar, $method, $path, $data)->then(static function (ResponseInterface $answer) use ($start, &$times, &$statuses): void {
        $times[] = (hrtime(true) - $start) / 1e6;
        $statuses[$answer->getStatusCode()] = ($statuses[$answer->getStatusCode()] ?? 0) + 1;
    });
};
$base = array_fill(0, $people, 1);
$edit = static function (int $i) use ($signedIn, $timed, $uuid, &$base) {
    [$jar, , $building, $wall] = $signedIn[$i];

    return $timed($jar, 'POST', "buildings/$building/revisions", ['client_id' => $uuid(), 'base' => $base[$i]++, 'edits' => [
        ['op' => 'move-opening', 'wall' => $wall, 'id' => 'w1', 'bricks' => $base[$i] % 2 === 0 ? 0.25 : -0.25],
        ['op' => 'set', 'path' => 'name', 'value' => 'Bench '.bin2hex(random_bytes(4))],
    ]]);
};
$until = microtime(true) + $seconds;
if ($what === 'edits') {
    // Spread over the ten seconds, as people are.
    $next = array_map(static fn (int $i): float => microtime(true) + 10 * $i / $people, range(0, $people - 1));
    while (microtime(true) < $until) {
        foreach (array_keys($signedIn) as $i) {
            if (microtime(true) >= $next[$i]) {
                $next[$i] += 10;
                $edit($i);
            }
        }
        $curl->tick();
        usleep(1000);
    }
    $curl->execute();
} elseif ($what === 'restless') {
    $again = static function (int $i) use ($edit, $until, &$again) {
        return microtime(true) < $until ? $edit($i)->then(static fn () => $again($i)) : null;
    };
    Utils::all(array_map($again, range(0, $people - 1)))->wait();
} elseif ($what === 'pdfs') {
    foreach (range(1, 2) as $time) {
        Utils::all(array_map(static fn (array $one) => $timed($one[0], 'GET', "buildings/$one[2]/sheets.pdf"), $signedIn))->wait();
        sort($times);
        printf(
            "time %d: p50 %.0f ms, p95 %.0f ms, most %.0f ms\n",
            $time,
            $times[intdiv(count($times), 2)],
            $times[(int) (count($times) * 0.95)],
            end($times),
        );
        $times = [];
    }
} else {
    [[$greedy, , $building], [$other]] = $signedIn;
    $asked = array_map(static fn (int $i) => $ask($greedy, 'GET', "buildings/$building/section?across=x&at=$i"), range(1, 40));
    for ($i = 0; $i < 20; $i++) {
        $timed($other, 'GET', 'projects')->wait();
    }
    Utils::all($asked)->wait();
    foreach ($asked as $promise) {
        $promise->then(static function (ResponseInterface $answer) use (&$refused): void {
            $refused = ($refused ?? 0) + ($answer->getStatusCode() === 429 ? 1 : 0);
        })->wait();
    }
    printf("of 40 drawings at once %d were put off\n", $refused ?? 0);
}
if ($times !== []) {
    sort($times);
    printf("%d answers: p50 %.0f ms, p95 %.0f ms, most %.0f ms\n", count($times), $times[intdiv(count($times), 2)], $times[(int) (count($times) * 0.95)], end($times));
}
echo 'answers by status: ', json_encode($statuses), "\n";
foreach ($signedIn as [$jar, $project]) {
    $now($jar, 'DELETE', "projects/$project");
}
