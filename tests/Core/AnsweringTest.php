<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Judging\Answering;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which of several answer one mode of failure together. */
final class AnsweringTest extends TestCase
{
    /** @return iterable<string, array{array<string, list<string>>, array<string, list<string>>}> failures that each answers; by mode */
    public static function answers(): iterable
    {
        yield 'the same failure' => [['rib' => ['f1'], 'lot' => ['f1']], ['Arm cracked' => ['rib', 'lot']]];
        yield 'one mode, written otherwise' => [['rib' => ['f1'], 'lot' => ['f2']], [' arm cracked ' => ['rib', 'lot']]];
        yield 'one of them answers it twice' => [['rib' => ['f1', 'f2']], []];
        yield 'two modes' => [['rib' => ['f1'], 'gap' => ['f3']], []];
        yield 'a mode that nobody wrote down' => [['rib' => ['f4'], 'gap' => ['f4']], []];
        yield 'what is not known here' => [['rib' => ['f9'], 'gap' => ['f9']], []];
        yield 'one of three is another' => [
            ['rib' => ['f1'], 'gap' => ['f3'], 'lot' => ['f3', 'f2']], [' arm cracked ' => ['rib', 'lot'], 'Jammed' => ['gap', 'lot']],
        ];
    }

    /**
     * @param array<string, list<string>> $failures
     * @param array<string, list<string>> $together
     */
    #[DataProvider('answers')]
    public function testThoseOfOneModeAreTogether(array $failures, array $together): void
    {
        $modes = ['f1' => 'Arm cracked', 'f2' => ' arm cracked ', 'f3' => 'Jammed', 'f4' => ' '];
        self::assertSame($together, array_column(Answering::together($failures, $modes), 'by', 'mode'));
    }
}
