<?php

declare(strict_types=1);

return [
    'amount' => '{number} {unit}',
    'cut' => '{end}|',
    'open' => 'open',
    'interval' => '{estimate} [{low}, {high}]',
    'plus' => '+{number}',
    'minus' => '−{number}',
    'words' => '{middle}{n, plural, one {} other { ({each})}}',
    'times' => '{word} {n}',
    'points' => 'points',
];
