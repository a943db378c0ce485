<?php

declare(strict_types=1);

/**
 * Collects the records of one demo device in the form of a device file, with a seeded source of scatter.
 *
 * Only make-data.php uses it; what the application reads are the files that it writes.
 */
final class Story
{
    /** @var array<string, list<array<string, mixed>>> */
    public array $lists = ['uses' => [], 'steps' => [], 'persons' => [], 'assumptions' => [], 'requirements' => [], 'revisions' => [], 'parameters' => [], 'parts' => [], 'articles' => [], 'methods' => [], 'trials' => [], 'runs' => [], 'readings' => [], 'observations' => [], 'failures' => [], 'causes' => [], 'changes' => [], 'documents' => [], 'makings' => [], 'happenings' => [], 'courses' => [], 'workings' => [], 'panels' => [], 'sheets' => [], 'spendings' => [], 'decisions' => [], 'candidates' => [], 'photos' => []];

    private int $count = 0;

    /** @var array<string, array<string, mixed>> what runs were made with, by a hash: runs in a row share one */
    private array $configurations = [];

    /** @var array<string, array{runs: int, failures: int}> what a unit has been through so far */
    private array $past = [];

    /** @param array<string, mixed> $device */
    public function __construct(
        public array $device,
        int $seed,
        private string $by = 'Maren Okafor',
    ) {
        mt_srand($seed);
    }

    /** A normal deviate (Box and Muller 1958). */
    public static function normal(float $mean, float $sd): float
    {
        $u = (mt_rand() + 1) / (mt_getrandmax() + 2);
        $v = (mt_rand() + 1) / (mt_getrandmax() + 2);

        return $mean + $sd * sqrt(-2 * log($u)) * cos(2 * M_PI * $v);
    }

    /** @param array<string, mixed> $fields */
    public function add(string $list, array $fields, string $at, ?string $by = null, ?string $withdrawn = null): string
    {
        $id = is_string($fields['id'] ?? null) ? $fields['id'] : substr($list, 0, 4).'-'.++$this->count;
        $this->lists[$list][] = ['id' => $id] + $fields + ['origin' => [
            'createdAt' => $at, 'createdBy' => $by ?? $this->by, 'version' => 1, 'withdrawnBecause' => $withdrawn,
        ]];

        return $id;
    }

    /** @return array<string, mixed> */
    public function find(string $list, string $id): array
    {
        foreach ($this->lists[$list] as $row) {
            if ($row['id'] === $id) {
                return $row;
            }
        }
        throw new InvalidArgumentException($list.' '.$id);
    }

    /**
     * @param array<string, mixed>                            $fields
     * @param array<string, array{0: float, 1: int, 2?: string}> $readings channel => value, decimals, unit if another than the channel's
     */
    public function run(string $trial, string $unit, string $at, array $fields, array $readings): string
    {
        $t = $this->find('trials', $trial);
        $method = $this->find('methods', (string) $t['method']);
        $revision = $this->find('revisions', (string) $t['revision']);
        $article = $unit === '' ? null : $this->find('articles', $unit);
        $number = 1 + count(array_filter($this->lists['runs'], static fn (array $r): bool => $r['trial'] === $trial));
        $lots = [];
        foreach ($article['lots'] ?? [] as $line) {
            [$material, $lot] = explode(': ', $line);
            $lots[$material] = $lot;
        }
        $past = $this->past[$unit] ?? ['runs' => 0, 'failures' => 0];
        $firmware = $fields['firmware'] ?? $revision['firmware'];
        unset($fields['firmware']);
        $id = $this->add('runs', array_diff_key($fields, ['empties' => true]) + [
            'trial' => $trial, 'article' => $article['id'] ?? null, 'number' => $number, 'startedAt' => $at, 'outcome' => 'held',
            'outcomeReason' => '',
            'earlierRuns' => $past['runs'], 'earlierFailures' => $past['failures'],
            'configuration' => $this->stored([
                'revision' => $revision['id'], 'letter' => $revision['letter'], 'firmware' => $firmware,
                'article' => $article['id'] ?? null, 'serial' => $article['serial'] ?? '',
                'articleState' => $article['state'] ?? '', 'deviations' => $article['deviations'] ?? '', 'lots' => (object) $lots,
                'method' => $method['id'], 'methodName' => $method['name'], 'methodVersion' => 1, 'rig' => $method['rig'],
                'channels' => array_map(static fn (array $c): array => ['key' => $c['key'], 'metric' => $c['metric'], 'unit' => $c['unit'], 'instrument' => $c['instrument'], 'resolution' => $c['resolution'], 'whenStopped' => $c['whenStopped'], 'formula' => $c['formula'] ?? ''], $method['channels']),
                'parameters' => $this->parameters($revision, $article['arm'] ?? ''),
                'parts' => $this->of(
                    'parts', $revision['id'],
                    static fn (array $p): array => array_intersect_key($p, ['name' => 0, 'material' => 0, 'quantity' => 0]),
                ),
                'conditions' => $method['conditions'], 'settings' => $method['settings'],
                'heldWhen' => $method['heldWhen'] ?? '', 'factors' => $method['factors'] ?? [], 'questions' => $method['questions'] ?? [],
                'wears' => $method['wears'] ?? true, 'represents' => [],
            ] + (($article['arm'] ?? '') === '' ? [] : ['arm' => $article['arm']])
                + (($article['deviants'] ?? []) === [] ? [] : ['deviants' => $article['deviants']])
                + (isset($fields['empties']) ? ['empties' => $fields['empties']] : [])),
        ], $at, $fields['operator'] ?? null);
        $outcome = $fields['outcome'] ?? 'held';
        // A check that leaves no mark adds nothing to what an article has been through.
        if ($outcome !== 'void' && $unit !== '' && ($method['wears'] ?? true)) {
            $this->past[$unit] = ['runs' => $past['runs'] + 1, 'failures' => $past['failures'] + ($outcome === 'failed' ? 1 : 0)];
        }
        foreach ($readings as $key => $reading) {
            $channel = array_values(array_filter($method['channels'], static fn (array $c): bool => $c['key'] === $key))[0];
            $measure = [
                'value' => round($reading[0], $reading[1]), 'unit' => $reading[2] ?? $channel['unit'],
                'resolution' => 10.0 ** -$reading[1],
            ];
            $this->add('readings', ['run' => $id, 'channel' => $key, 'metric' => $channel['metric'], 'typed' => $measure, 'current' => $measure, 'amendments' => [], 'confirmed' => ''], $at, $fields['operator'] ?? null);
        }

        return $id;
    }

    /**
     * The parameters of a build as an article of one of its arms has them; those of arms are words here.
     *
     * @param array<string, mixed> $revision
     *
     * @return list<array<string, mixed>>
     */
    private function parameters(array $revision, string $arm): array
    {
        $out = $this->of('parameters', $revision['id'], static fn (array $p): array => ['name' => $p['name']] + (isset($p['words']) ? ['words' => $p['words']] : []) + (isset($p['formula']) ? ['u' => $p['u'], 'follows' => true] : []) + $p['measure']);
        $of = array_column($revision['arms'] ?? [], 'values', 'name')[$arm] ?? [];
        foreach ($of as ['name' => $name, 'text' => $text]) {
            $out = array_values(array_filter($out, static fn (array $p): bool => $p['name'] !== $name));
            $out[] = ['name' => $name, 'value' => 0.0, 'unit' => '1', 'resolution' => null, 'words' => $text];
        }

        return $out;
    }

    /** An article is made into one of another build: its past goes along. */
    public function rework(string $article, string $revision): void
    {
        foreach ($this->lists['articles'] as $i => $row) {
            if ($row['id'] === $article) {
                $this->lists['articles'][$i]['earlier'] = [...$row['earlier'] ?? [], $row['revision']];
                $this->lists['articles'][$i]['revision'] = $revision;
            }
        }
    }

    /**
     * @param callable(array<string, mixed>): array<string, mixed> $frozen
     *
     * @return list<array<string, mixed>> what a run freezes of the rows of its build
     */
    private function of(string $list, string $revision, callable $frozen): array
    {
        return array_values(array_map($frozen, array_filter(
            $this->lists[$list], static fn (array $row): bool => $row['revision'] === $revision,
        )));
    }

    /** @param array<string, mixed> $configuration */
    private function stored(array $configuration): string
    {
        $hash = hash('sha256', self::json($configuration));
        $this->configurations[$hash] = $configuration;

        return $hash;
    }

    /** Changes the last reading added, as an amendment does. */
    public function amendLast(float $value, string $unit, float $resolution, string $reason, string $by, string $at): void
    {
        $last = array_key_last($this->lists['readings']);
        $this->lists['readings'][$last]['current'] = ['value' => $value, 'unit' => $unit, 'resolution' => $resolution];
        $this->lists['readings'][$last]['amendments'] = [['text' => $value.' '.$unit, 'reason' => $reason, 'by' => $by, 'at' => $at]];
        $this->lists['readings'][$last]['confirmed'] = 'Looked like kgf typed as N; kept as shown on the instrument.';
    }

    public function write(string $file): void
    {
        $out = ['format' => 'lustrum-device', 'version' => 3, 'exportedAt' => '2026-11-20T18:00:00+00:00', 'device' => $this->device, 'configurations' => $this->configurations] + $this->lists;
        $lines = [];
        foreach ($out as $name => $value) {
            // One record a line, so that a change of the story shows as a small difference.
            $lines[] = json_encode($name).': '.match (true) {
                $name === 'configurations' => "{\n".implode(",\n", array_map(static fn (string $k, mixed $v): string => self::json($k).':'.self::json($v), array_keys($value), $value))."\n}",
                is_array($value) && array_is_list($value) && $value !== [] => "[\n".implode(",\n", array_map(self::json(...), $value))."\n]",
                default => self::json($value),
            };
        }
        file_put_contents($file, "{\n".implode(",\n", $lines)."\n}\n");
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
    }
}
