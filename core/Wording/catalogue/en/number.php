<?php

declare(strict_types=1);

return [
    'amount' => '{number} {unit}',
    'cut' => '{end}|',
    'open' => 'open',
    'interval' => '{estimate} [{low}, {high}]',
    'plus' => '+{number}',
    'minus' => '−{number}',
    'points' => 'points',
];
