<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What a thorough search for fewer sheets found, once it has been asked for. */
    public function up(): void
    {
        Schema::table('kits', function (Blueprint $table): void {
            $table->text('packed')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('kits', function (Blueprint $table): void {
            $table->dropColumn('packed');
        });
    }
};
