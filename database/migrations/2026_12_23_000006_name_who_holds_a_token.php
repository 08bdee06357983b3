<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A row says `user`, whatever the class is called that reads it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::table('personal_access_tokens')->where('tokenable_type', 'App\Models\User')
            ->update(['tokenable_type' => 'user']);
    }

    public function down(): void
    {
        DB::table('personal_access_tokens')->where('tokenable_type', 'user')
            ->update(['tokenable_type' => 'App\Models\User']);
    }
};
