<?php

/**
 * What a test runner wrote, as one line for each test: 'pass' or 'fail', its name, the first line of its first message;
 * tabs between them. A test that a data set or a project ran is a test of its own.
 *
 *     php deploy/results.php junit|vitest|playwright FILE WORDS
 *
 * A file that cannot be read is one failure, called WORDS.
 */

declare(strict_types=1);

[, $kind, $file, $words] = $argv;

$plain = static fn (string $text): string => trim((string) preg_replace(
    '/\s+/', ' ', (string) preg_replace('/\e\[[0-9;]*m/', '', $text),
));
/** @param list<string> $messages */
$say = static function (string $name, bool $passed, array $messages = []) use ($plain): void {
    $lines = array_values(array_filter(array_map($plain, explode("\n", implode("\n", $messages)))));
    // PHPUnit says the name of the test first.
    $first = isset($lines[1]) && str_starts_with($lines[0], strtok($name, ' ')) ? $lines[1] : $lines[0] ?? '';
    echo implode("\t", [$passed ? 'pass' : 'fail', $plain($name), $passed ? '' : mb_substr($first, 0, 300)]), "\n";
};

$junit = static function (string $content) use ($say): bool {
    $xml = @simplexml_load_string($content);
    if ($xml === false) {
        return false;
    }
    foreach ($xml->xpath('//testcase') ?: [] as $case) {
        $bad = array_map('strval', [...iterator_to_array($case->error, false), ...iterator_to_array($case->failure, false)]);
        $say($case['class'].'::'.$case['name'], $bad === [], $bad);
    }

    return true;
};
$vitest = static function (array $report) use ($say): void {
    foreach ($report['testResults'] as $suite) {
        $at = basename($suite['name']);
        if ($suite['assertionResults'] === [] && $suite['status'] === 'failed') {
            $say($at, false, [$suite['message'] ?? '']);
        }
        foreach ($suite['assertionResults'] as $test) {
            $say($at.': '.$test['fullName'], $test['status'] === 'passed', $test['failureMessages'] ?? []);
        }
    }
};
$playwright = static function (array $suites, string $within = '') use ($say, &$playwright): void {
    foreach ($suites as $suite) {
        $at = trim($within.' '.$suite['title']);
        foreach ($suite['specs'] ?? [] as $spec) {
            $errors = [];
            foreach ($spec['tests'] as $test) {
                foreach ($test['results'] as $result) {
                    foreach ($result['errors'] ?? [] as $error) {
                        $errors[] = $error['message'] ?? '';
                    }
                }
            }
            $say($at.': '.$spec['title'], $spec['ok'], $errors);
        }
        $playwright($suite['suites'] ?? [], $at);
    }
};

$content = (string) @file_get_contents($file);
$report = $kind === 'junit' ? null : json_decode($content, true);
match (true) {
    $kind === 'junit' => $junit($content) || $say($words, false, ['It ended before it said what it found.']),
    !is_array($report) => $say($words, false, ['It ended before it said what it found.']),
    $kind === 'vitest' => $vitest($report),
    default => $playwright($report['suites'] ?? []),
};
foreach ($kind === 'playwright' ? $report['errors'] ?? [] : [] as $error) {
    $say($words, false, [$error['message'] ?? '']);
}
