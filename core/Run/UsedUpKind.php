<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

enum UsedUpKind: string
{
    case Article = 'article';
    case Load = 'load';
    case Material = 'material';
    case Money = 'money';
    case Visit = 'visit';
}
