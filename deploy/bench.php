<?php

declare(strict_types=1);

/**
 * Speaks to a running Lustrum with the demo ten times over and prints how long things take.
 *
 * php deploy/bench.php ADDRESS PASSWORD
 */
final class Bench
{
    private \CurlHandle $curl;

    private string $token = '';

    public function __construct(private readonly string $address)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_ENCODING => 'gzip']);
    }

    /** @return array{mixed, float} decoded answer and milliseconds */
    public function ask(string $method, string $url, mixed $body = null): array
    {
        curl_setopt_array($this->curl, [CURLOPT_URL => $this->address.$url, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body), CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Origin: '.$this->address, 'X-Csrf-Token: '.$this->token]]);
        $from = hrtime(true);
        $answer = (string) curl_exec($this->curl);
        $took = (hrtime(true) - $from) / 1e6;
        if (curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE) >= 400) {
            throw new RuntimeException($method.' '.$url.': '.$answer);
        }

        return [json_decode($answer, true), $took];
    }

    public function signIn(string $password): string
    {
        $this->token = $this->ask('GET', '/api/session')[0]['token'];
        $session = $this->ask('POST', '/api/session', ['email' => 'maren@hollowlane.example', 'password' => $password])[0];
        $this->token = $session['token'];

        return $session['workspaces'][0]['id'];
    }

    /** @param list<float> $values */
    public static function p95(array $values): float
    {
        sort($values);

        return $values[(int) ceil(0.95 * count($values)) - 1];
    }

    public static function row(string $what, float $value, string $unit, string $budget): void
    {
        printf("%-58s %9.2f %-4s budget %s\n", $what, $value, $unit, $budget);
    }
}

ini_set('memory_limit', '1G');
[, $address, $password] = $argv;
$bench = new Bench($address);
$workspace = $bench->signIn($password);
$devices = $bench->ask('GET', "/api/workspaces/$workspace/devices")[0];
$times = [];
$places = [];
foreach (array_slice(array_filter($devices, static fn (array $d): bool => $d['device']['name'] === 'Wren'), 0, 4) as $card) {
    $frame = $bench->ask('GET', '/api/devices/'.$card['device']['id'].'/frame')[0];
    foreach ($frame['spine'] as $tag) {
        $places[] = [$card['device']['id'], $tag['revision']['id'], $tag['revision']['letter']];
    }
}
foreach ([0, 1, 2] as $round) {
    foreach ($places as [$device, $revision]) {
        foreach (['frame' => "/api/devices/$device/frame", 'brief' => "/api/devices/$device/brief"] + array_combine($s = ['build', 'try', 'find', 'weigh', 'next'], array_map(static fn (string $n): string => "/api/revisions/$revision/$n", $s)) as $name => $url) {
            [, $took] = $bench->ask('GET', $url);
            $times[($round === 0 ? 'first ' : '').'read of '.$name][] = $took;
        }
    }
}
foreach ($times as $name => $values) {
    Bench::row("$name, p95 of ".count($values), Bench::p95($values), 'ms', '80 ms');
}
$toggles = [];
foreach ($places as [$device, $revision, $letter]) {
    if ($letter !== 'F') {
        continue;
    }
    foreach (['in', 'wait', 'in', 'wait'] as $choice) {
        $candidate = $bench->ask('GET', "/api/revisions/$revision/next")[0]['candidates'][2];
        $body = array_intersect_key($candidate, array_flip(['revision', 'what', 'why', 'class', 'cost', 'hours', 'effects', 'source', 'askedBy', 'failure', 'version']));
        $put = $bench->ask('PUT', '/api/candidates/'.$candidate['id'], ['choice' => $choice, 'reason' => 'measuring'] + $body)[1];
        $toggles[] = $put + $bench->ask('GET', "/api/revisions/$revision/next")[1];
    }
}
Bench::row('toggling a candidate to its consequences, p95', Bench::p95($toggles), 'ms', '150 ms');

$folder = __DIR__.'/../public/app';
$manifest = json_decode((string) file_get_contents($folder.'/.vite/manifest.json'), true);
$weigh = static function (string $entry) use (&$weigh, $manifest, $folder, &$seen): float {
    if (isset($seen[$entry])) {
        return 0.0;
    }
    $seen[$entry] = true;
    $size = strlen((string) gzencode((string) file_get_contents($folder.'/'.$manifest[$entry]['file']), 6)) / 1000;

    return array_sum(array_map($weigh, $manifest[$entry]['imports'] ?? [])) + $size;
};
$seen = [];
Bench::row('JavaScript before anything is shown (gzip)', $weigh('index.html'), 'kB', '220 kB');
foreach (['src/stations/build/Build.tsx', 'src/stations/weigh/Weigh.tsx', 'src/stations/try/Run.tsx'] as $station) {
    $seen = [];
    Bench::row('  and with '.basename($station, '.tsx'), $weigh('index.html') + $weigh($station), 'kB', '220 kB');
}

require dirname(__DIR__).'/vendor/autoload.php';
mt_srand(1);
$normal = static fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
$many = range(1, 10_000);
$lives = ['times' => array_map(static fn (): float => exp(1 + 0.4 * $normal()), $many), 'ended' => array_map(static fn (int $i): bool => $i % 3 > 0, $many)];
$curve = array_map(static fn (int $i): float => 20 + 60 * exp(-$i / 3000) + 0.1 * $normal(), $many);
$fits = [
    'survival.kaplanMeier of 10,000' => $lives, 'survival.weibull of 10,000' => $lives, 'survival.logRank of 2 × 10,000' => ['groups' => [$lives, $lives]],
    'curve.exponential of 10,000' => ['t' => $many, 'y' => $curve], 'stats.regress of 10,000, degree 3' => ['x' => $many, 'y' => $curve, 'degree' => 3],
    'threshold.logit of 200 levels' => ['levels' => range(1, 200), 'held' => array_map(static fn (int $l): int => (int) round(50 / (1 + exp(($l - 100) / 15))), range(1, 200)), 'tried' => array_fill(0, 200, 50)],
    'stats.anova of 500, 5 × 4 with interaction' => ['y' => array_slice($curve, 0, 500), 'factors' => ['a' => array_map(static fn (int $i): string => 'a'.$i % 5, range(1, 500)), 'b' => array_map(static fn (int $i): string => 'b'.$i % 4, range(1, 500))], 'interactions' => [['a', 'b']]],
    'plan.panel of 40 items, 1000 raters' => ['items' => array_map(static fn (int $i): string => 'item '.$i, range(1, 40)), 'raters' => 1000],
    'panel.rank of 40 items, 5000 choices' => ['comparisons' => array_map(static fn (): array => ($a = mt_rand(1, 40)) !== ($b = 1 + ($a + mt_rand(0, 38)) % 40) ? ['winner' => 'i'.($w = mt_rand(0, $a + $b) < $a ? $a : $b), 'loser' => 'i'.($a + $b - $w)] : ['winner' => 'i1', 'loser' => 'i2'], range(1, 5000))],
    'curve.decimate of 1,000,000 to 2000' => ['t' => range(1, 1_000_000), 'y' => array_merge(...array_fill(0, 100, $curve)), 'points' => 2000],
];
ini_set('memory_limit', '1G');
foreach ($fits as $name => $input) {
    $from = hrtime(true);
    $answer = Lustrum\Core\Calc\Catalogue::answer(['op' => explode(' ', $name)[0], 'input' => $input]);
    Bench::row($name.($answer['ok'] ? '' : ' FAILED: '.$answer['error']['message']), (hrtime(true) - $from) / 1e6, 'ms', 'none stated');
}

$line = json_encode(['op' => 'stats.compare', 'input' => ['a' => [86.5, 96.3, 88.1, 89.7, 92, 94, 95.3], 'b' => [105.5, 138.6, 137.8, 118.9, 117, 131.7, 126.4]]])."\n";
$input = tmpfile();
for ($i = 0; $i < 10_000; ++$i) {
    fwrite($input, $line);
}
rewind($input);
$from = hrtime(true);
$process = proc_open(['/usr/bin/env', 'APP_ENV=prod', 'APP_DEBUG=0', PHP_BINARY, '-d', 'memory_limit=64M', dirname(__DIR__).'/bin/console', 'lustrum:calc'], [$input, ['file', '/dev/null', 'w'], STDERR], $pipes);
$code = proc_close($process);
Bench::row('10,000 lines of stats.compare in 64 MB'.($code === 0 ? '' : ' FAILED'), (hrtime(true) - $from) / 1e9, 's', '5 s');
