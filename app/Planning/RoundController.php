<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\User;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class RoundController extends Controller
{
    public function index(Request $request, RoundScreen $screen): View
    {
        /** @var User $user */
        $user = $request->user();

        return view('visits.index', $screen->show($user, $request, Today::day()));
    }
}
