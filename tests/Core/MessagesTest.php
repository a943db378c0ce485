<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Wording\Messages;
use Lustrum\Core\Wording\Numbers;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The catalogue: each of its messages can be said, each that is said is in it, and none lies there unused. */
final class MessagesTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function messages(): iterable
    {
        foreach (Messages::all() as $key => $pattern) {
            yield $key => [$key, $pattern];
        }
    }

    /** Whatever a choice is made by, and however many there are, a sentence comes out, and no half of one. */
    #[DataProvider('messages')]
    public function testEachCanBeSaid(string $key, string $pattern): void
    {
        $choices = $this->choices($pattern);
        $said = 0;
        foreach ([0, 1, 2, 5] as $count) {
            foreach ($this->combinations($choices) as $chosen) {
                $with = [];
                foreach ($this->names($pattern) as $name => $type) {
                    $with[$name] = $chosen[$name] ?? ($type === 'text' ? 'Arm' : $count);
                }
                $text = Messages::say($key, $with);
                self::assertDoesNotMatchRegularExpression('/[{}#]/', $text, $key.' with '.json_encode($with));
                self::assertDoesNotMatchRegularExpression('/  | [.,;:]|\.\.$/', $text, $key.' with '.json_encode($with));
                ++$said;
            }
        }
        self::assertGreaterThan(0, $said);
    }

    public function testWhatTheCodeSaysIsThereAndNothingElse(): void
    {
        $code = '';
        foreach (['core', 'src'] as $folder) {
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
                $path = $file instanceof \SplFileInfo ? $file->getPathname() : '';
                if (str_ends_with($path, '.php') && !str_contains($path, '/catalogue/')) {
                    $code .= file_get_contents($path);
                }
            }
        }
        preg_match_all("/Messages::say\('([a-z]+\.[A-Za-z]+)'/", $code, $said);
        $all = Messages::all();
        self::assertGreaterThan(50, count($said[1]));
        self::assertSame([], array_values(array_diff($said[1], array_keys($all))), 'Said, but not in the catalogue.');
        foreach (array_keys($all) as $key) {
            [$family, $name] = explode('.', $key);
            $used = str_contains($code, "'".$key."'") || preg_match("/'".$family."\.'\s*\./", $code) === 1;
            self::assertTrue($used, $key.' is said nowhere ('.$name.').');
        }
    }

    public function testAnEndThatKeepsClearOfNoughtIsNotWrittenAsNought(): void
    {
        $of = static fn (float $value, ?float $low, ?float $high): string => Numbers::figure(new Figure($value, $low, $high, 'N', 1, 5));
        self::assertSame('−12.3 N [−14.7, −6.2]', $of(-12.3, -14.7, -6.2), 'Ends below nought keep their digits.');
        self::assertSame('−0.3 N [−0.6, −0.02]', $of(-0.3, -0.6, -0.021));
        self::assertSame('0.3 N [0.004, 0.6]', $of(0.3, 0.0042, 0.6));
        self::assertSame('0.3 N [0.0, 0.6]', $of(0.3, -0.02, 0.6));
        self::assertSame('0.3 N [0.0, 0.6]', $of(0.3, 0.0, 0.6));
        self::assertSame('0.3 N [open, 0.6]', $of(0.3, null, 0.6));
    }

    public function testAMessageThatIsNotThereIsAFault(): void
    {
        $this->expectException(\LogicException::class);
        Messages::say('build.nowhere');
    }

    public function testRowsOfWords(): void
    {
        self::assertSame('', Messages::list([]));
        self::assertSame('a', Messages::list(['a']));
        self::assertSame('a and b', Messages::list(['a', 'b']));
        self::assertSame('a, b and c', Messages::list(['a', 'b', 'c']));
        self::assertSame('Ärmel', Messages::begin('ärmel'));
        self::assertSame('it broke', Messages::inside('It broke.'));
        self::assertSame('USB plug broke', Messages::inside('USB plug broke.'));
    }

    /** @return array<string, 'text'|'number'> what is filled in, by name */
    private function names(string $pattern): array
    {
        $names = [];
        preg_match_all('/\{(\w+)(?:,\s*(plural|select|number))?\s*[,}]/', $pattern, $found, \PREG_SET_ORDER);
        foreach ($found as [$whole, $name]) {
            $kind = str_contains($whole, 'plural') || str_contains($whole, 'number') ? 'number' : 'text';
            $names[$name] = ($names[$name] ?? '') === 'number' || $kind === 'number' ? 'number' : 'text';
        }

        return $names;
    }

    /** @return array<string, list<string>> the ways of each select, by its name */
    private function choices(string $pattern): array
    {
        $out = [];
        preg_match_all('/\{(\w+), select, /', $pattern, $found, \PREG_OFFSET_CAPTURE);
        foreach ($found[1] as $i => [$name]) {
            $at = (int) $found[0][$i][1] + strlen((string) $found[0][$i][0]);
            $depth = 0;
            $word = '';
            for ($end = strlen($pattern); $at < $end && $depth >= 0; ++$at) {
                $depth += ['{' => 1, '}' => -1][$pattern[$at]] ?? 0;
                if ($depth === 1 && $pattern[$at] === '{') {
                    $out[$name][] = trim($word);
                    $word = '';
                } elseif ($depth === 0 && $pattern[$at] !== '}') {
                    $word .= $pattern[$at];
                }
            }
        }

        return array_map(static fn (array $ways): array => array_values(array_unique($ways)), $out);
    }

    /**
     * @param array<string, list<string>> $choices
     *
     * @return list<array<string, string>>
     */
    private function combinations(array $choices): array
    {
        $all = [[]];
        foreach ($choices as $name => $ways) {
            $next = [];
            foreach ($all as $one) {
                foreach ($ways as $way) {
                    $next[] = $one + [$name => $way];
                }
            }
            $all = $next;
        }

        return $all;
    }

    /** What was said is remembered under all that it was filled in with: no two are taken for each other. */
    public function testWhatIsRememberedIsWhatWasAsked(): void
    {
        $parts = static fn (array $with): string => Messages::say('working.open', $with);
        self::assertSame('Mass: 3 kg.', $parts(['what' => 'Mass', 'answer' => '3 kg']));
        self::assertSame('3 kg: Mass.', $parts(['what' => '3 kg', 'answer' => 'Mass']));
        self::assertSame('3 kg: Mass.', $parts(['answer' => 'Mass', 'what' => '3 kg']));
        self::assertSame('Mass: 3 kg.', $parts(['answer' => '3 kg', 'what' => 'Mass']));
        for ($i = 0; $i < 2500; ++$i) {
            self::assertSame('n: '.$i.'.', $parts(['what' => 'n', 'answer' => (string) $i]));
        }
        self::assertSame('Mass: 3 kg.', $parts(['what' => 'Mass', 'answer' => '3 kg']));
    }
}
