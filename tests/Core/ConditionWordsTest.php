<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Wording\EvidenceWords;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ConditionWordsTest extends TestCase
{
    #[TestWith(['soil=moist', 'soil moist'])]
    #[TestWith(['drop height>=0.75 m', 'drop height from 0.75 m'])]
    #[TestWith(['drop height >= 0.75 m', 'drop height from 0.75 m'])]
    #[TestWith(['ambient≤30 °C', 'ambient up to 30 °C'])]
    public function testAConditionIsReadInWords(string $condition, string $said): void
    {
        self::assertSame($said, EvidenceWords::condition($condition));
    }
}
